import { Type, type Static } from '@sinclair/typebox';
import {
  ID_PATTERN,
  pointer,
  POINTER_PATTERN,
  readAt,
  sameJson,
  WorkingCopy,
  type Documents,
} from '../model';

/**
 * One change to one document: what stood at a JSON Pointer and what stands there now; a missing member
 * means that nothing stands there. The empty pointer is the whole document.
 */
export const Change = Type.Object(
  {
    doc: Type.String({ pattern: ID_PATTERN }),
    path: Type.String({ maxLength: 1000, pattern: POINTER_PATTERN }),
    was: Type.Optional(Type.Unknown()),
    now: Type.Optional(Type.Unknown()),
  },
  { additionalProperties: false },
);
export type Change = Static<typeof Change>;

/** Why an edit is not done, for the person who asked for it. */
export interface Refusal {
  readonly refused: string;
  readonly doc?: string;
  /** Where, as a JSON Pointer into that document. */
  readonly path?: string;
}

export function isRefusal<T extends object>(result: T | Refusal): result is Refusal {
  return 'refused' in result;
}

/** The documents after these changes, sharing all that did not change. @throws when a container is missing. */
export function applyChanges(documents: Documents, changes: readonly Change[]): Documents {
  if (changes.length === 0) return documents;
  const copy = new WorkingCopy(documents);
  for (const { doc, path, now } of changes)
    if (!copy.write(doc, path, now))
      throw new Error(`Nothing holds ${path} in ${doc}, so it cannot be written.`);
  return copy.documents;
}

/** The changes that take these back, in the opposite order. */
export function inverse(changes: readonly Change[]): Change[] {
  return changes.map(({ doc, path, was, now }) => change(doc, path, now, was)).reverse();
}

/** A change from the documents as they are to a new value; nothing when that is there already. */
export function changeTo(
  documents: Documents,
  doc: string,
  tokens: readonly string[],
  now: unknown,
): Change[] {
  const path = pointer(...tokens);
  const was = readAt(documents.get(doc), path);
  return sameJson(was, now) ? [] : [change(doc, path, was, now)];
}

/** A change with only the members that stand for something. */
export function change(doc: string, path: string, was: unknown, now: unknown): Change {
  const made: Change = { doc, path };
  if (was !== undefined) made.was = was;
  if (now !== undefined) made.now = now;
  return made;
}

/** A change that meets something else than it expects, and what that is. */
export interface Mismatch {
  readonly change: Change;
  readonly stands: unknown;
}

/**
 * Makes changes under their guards, in one pass: each is made where its `was` is what stands there.
 * @returns the documents after those that were, and the others with what they met
 */
export function guardedChanges(
  documents: Documents,
  changes: readonly Change[],
): { documents: Documents; mismatches: Mismatch[] } {
  const copy = new WorkingCopy(documents);
  const mismatches: Mismatch[] = [];
  for (const made of changes) {
    const stands = copy.read(made.doc, made.path);
    if (!sameJson(stands, made.was)) mismatches.push({ change: made, stands });
    else if (!copy.write(made.doc, made.path, made.now))
      mismatches.push({ change: made, stands: undefined });
  }
  return { documents: copy.documents, mismatches };
}

/** The changes whose `was` is not what stands there: each with what does. */
export function mismatches(documents: Documents, changes: readonly Change[]): Mismatch[] {
  return guardedChanges(documents, changes).mismatches;
}

/** The documents that changes touch, each once. */
export function touched(changes: readonly Change[]): string[] {
  return [...new Set(changes.map(({ doc }) => doc))];
}

/** One operation of a JSON Patch (RFC 6902). */
export type PatchOperation =
  | { op: 'test'; path: string; value: unknown }
  | { op: 'add'; path: string; value: unknown }
  | { op: 'replace'; path: string; value: unknown }
  | { op: 'remove'; path: string };

/** Changes to one document as a JSON Patch (RFC 6902), each value that goes tested first. */
export function asPatch(changes: readonly Change[]): PatchOperation[] {
  return changes.flatMap(({ path, was, now }): PatchOperation[] => {
    if (was === undefined) return now === undefined ? [] : [{ op: 'add', path, value: now }];
    const test: PatchOperation = { op: 'test', path, value: was };
    return now === undefined
      ? [test, { op: 'remove', path }]
      : [test, { op: 'replace', path, value: now }];
  });
}
