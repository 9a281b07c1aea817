export type { DrawnElement } from './drawn-element';
export * from './read-icon';
export * from './read-tokens';
export * from './tokens-to-take';
export { EXTENSION, writeTokens } from './write-tokens';
