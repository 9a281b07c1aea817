export * from './change';
export * from './control';
export * from './define';
export * from './edits';
export * from './soundness';
export * from './starters';
export { documentName } from './tree-edits';
