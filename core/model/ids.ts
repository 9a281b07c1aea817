/**
 * Ids: short random names that never change and carry no meaning.
 * Sorting ids gives the tie-break order used wherever two things claim the same place.
 */
const ALPHABET = 'abcdefghijklmnopqrstuvwxyz0123456789';

/** The shape of every id: a letter, then letters, digits or hyphens (also a valid CSS class and JSON Pointer token). */
export const ID_PATTERN = '^[a-z][a-z0-9-]{0,39}$';

/** A new id of 12 characters, beginning with a letter: 26 · 36^11 possibilities. */
export function newId(): string {
  if (used === random.length) {
    crypto.getRandomValues(random);
    used = 0;
  }
  let id = ALPHABET[random[used]! % 26]!;
  for (let i = 1; i < LENGTH; i += 1) id += ALPHABET[random[used + i]! % 36]!;
  used += LENGTH;
  return id;
}

const LENGTH = 12;
/** Random bytes for many ids, each used once: asking for them costs more than using them. */
const random = new Uint8Array(LENGTH * 256);
let used = random.length;

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
