export * from './levels';
export * from './rule-order';
export * from './shared-order';
export * from './placeholders';
export * from './cascade';
export * from './expand';
export * from './block';
