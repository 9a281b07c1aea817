export { gapsIn, type GapFinding } from './gaps';
export * from './paint';
export * from './landmarks';
