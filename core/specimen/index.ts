export * from './specimen';
