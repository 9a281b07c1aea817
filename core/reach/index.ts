export * from './uses';
export * from './reach';
