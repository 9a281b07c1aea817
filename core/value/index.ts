export * from './data';
export * from './convert';
export * from './evaluate';
export * from './query';
