export * from './paint';
export * from './landmarks';
