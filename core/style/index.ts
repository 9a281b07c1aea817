export * from './cascade';
export * from './expand';
export * from './block';
