export * from './data';
export * from './convert';
export * from './items';
export * from './evaluate';
export * from './query';
