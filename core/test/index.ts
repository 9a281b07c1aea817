export * from './small-site';
export * from './html';
