export * from './guides';
export * from './held';
