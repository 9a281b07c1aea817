export * from './changes';
export * from './control';
export * from './define';
export * from './edits';
export * from './names';
export * from './soundness/references';
export * from './soundness/soundness';
export * from './starters';
export { EDIT_ID_PATTERN } from './upkeep/revert';
