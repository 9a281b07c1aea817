export * from './specimen';
export type { Stands } from './stands';
export { combinations } from './styles-shown';
