export * from './css';
export * from './page';
export * from './site';
