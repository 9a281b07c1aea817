/**
 * Ids: short random names that never change and carry no meaning.
 * Sorting ids gives the tie-break order used wherever two things claim the same place.
 */
const ALPHABET = 'abcdefghijklmnopqrstuvwxyz0123456789';

/** The shape of every id: a letter, then letters, digits or hyphens (also a valid CSS class and JSON Pointer token). */
export const ID_PATTERN = '^[a-z][a-z0-9-]{0,39}$';

/** A new id of 12 characters, beginning with a letter: 26 · 36^11 possibilities. */
export function newId(): string {
  const bytes = crypto.getRandomValues(new Uint8Array(12));
  let id = ALPHABET[bytes[0]! % 26]!;
  for (let i = 1; i < 12; i += 1) id += ALPHABET[bytes[i]! % 36]!;
  return id;
}

/** The id of a node, within its tree. */
export type NodeId = string;
/** The id of a document, within its site. */
export type DocId = string;
/** The id of a property, within its component. */
export type PropertyId = string;
/** The id of a slot, within its component. */
export type SlotId = string;
/** The id of a field, within its content type. */
export type FieldId = string;
/** The id of a narrower width of the site. */
export type WidthId = string;
/** The id of a rule, within its component. */
export type RuleId = string;

/** A name of a value in an expression or among words: nobody sees it, what it stands for has its own. */
export const NAME_PATTERN = '^[a-z][a-zA-Z0-9]{0,39}$';
