export type { At, Named, Naming } from './naming';
export { mapActs } from './in-acts';
export { mapTyped } from './in-values';
export { mapType } from './in-types';
export { mapOneSource, mapSource, mapSourceParts } from './in-sources';
export { mapBlock, mapDeclared, mapNode, mapPatch, mapQuery, mapReferred } from './in-nodes';
export { mapDefinition } from './in-definitions';
