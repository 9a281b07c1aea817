import type { Documents } from './document-set';

declare global {
  /** `Documents` is no record: read as one it is empty. What is asked so gives what nobody can use. */
  interface ObjectConstructor {
    keys(documents: Documents): unknown;
    values(documents: Documents): unknown;
    entries(documents: Documents): unknown;
    getOwnPropertyNames(documents: Documents): unknown;
    assign(onto: object, documents: Documents): unknown;
    hasOwn(documents: Documents, id: PropertyKey): unknown;
  }
}
