export * from './paint';
