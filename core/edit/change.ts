import { Type, type Static } from '@sinclair/typebox';
import { pointer, readAt, sameJson, tokensOf, writeAt, type Doc, type Documents } from '../model';

/**
 * One change to one document: what stood at a JSON Pointer and what stands there now; a missing member
 * means that nothing stands there. The empty pointer is the whole document.
 */
export const Change = Type.Object(
  {
    doc: Type.String(),
    path: Type.String({ maxLength: 1000 }),
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

export function isRefusal(result: readonly Change[] | Refusal): result is Refusal {
  return 'refused' in result;
}

/** The documents after these changes, sharing all that did not change. @throws when a container is missing. */
export function applyChanges(documents: Documents, changes: readonly Change[]): Documents {
  if (changes.length === 0) return documents;
  const next: Record<string, Doc> = { ...documents };
  for (const { doc, path, now } of changes) {
    const value = writeAt<unknown>(next[doc], path, now);
    if (value === undefined) delete next[doc];
    else next[doc] = value as Doc;
  }
  return next;
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
  const was = readAt(documents[doc], path);
  return sameJson(was, now) ? [] : [change(doc, path, was, now)];
}

/** A change with only the members that stand for something. */
export function change(doc: string, path: string, was: unknown, now: unknown): Change {
  const made: Change = { doc, path };
  if (was !== undefined) made.was = was;
  if (now !== undefined) made.now = now;
  return made;
}

/** The changes whose `was` is not what stands there: each with what does. */
export function mismatches(
  documents: Documents,
  changes: readonly Change[],
): { change: Change; stands: unknown }[] {
  const found: { change: Change; stands: unknown }[] = [];
  let at = documents;
  for (const made of changes) {
    const stands = readAt(at[made.doc], made.path);
    if (!sameJson(stands, made.was)) found.push({ change: made, stands });
    else if (containerAt(at, made)) at = applyChanges(at, [made]);
    else found.push({ change: made, stands: undefined });
  }
  return found;
}

/** Whether the member that a change writes has something to stand in. */
function containerAt(documents: Documents, { doc, path }: Change): boolean {
  const tokens = tokensOf(path);
  if (tokens.length === 0) return true;
  return readAt(documents[doc], pointer(...tokens.slice(0, -1))) !== undefined;
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
