export type { Field, FieldType } from './fields';
export { faultsOf, wrongOf, type Fault, type Said, type Wrong } from './faults';
export { asTyped } from './values';
