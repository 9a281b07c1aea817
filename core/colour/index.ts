export * from './read-colour';
export * from './write-colour';
export * from './contrast';
export * from './derived';
export * from './plane';
