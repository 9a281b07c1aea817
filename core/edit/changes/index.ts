export * from './change';
export * from './apply';
export * from './inverse';
export * from './join';
export * from './replay';
export * from './json-patch';
export * from './differences';
