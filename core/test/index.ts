export * from './means';
export * from './small-site';
export * from './html';
export * from './arbitrary-values';
export * from './sign';
