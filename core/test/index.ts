export * from './means';
export * from './small-site';
export * from './written-out';
export * from './html';
export * from './arbitrary-values';
export * from './schema-members';
export * from './sign';
export * from './every-kind';
