export * from './data';
export * from './convert';
export * from './limits';
export * from './items';
export * from './evaluate';
export * from './query';
export { givesOf, workedOut, type WorkedOut } from './worked-out';
