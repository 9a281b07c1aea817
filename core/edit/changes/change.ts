import { Type, type Static } from '@sinclair/typebox';
import {
  ID_PATTERN,
  pointer,
  POINTER_PATTERN,
  readAt,
  sameJson,
  type Documents,
} from '../../model';
import type { Said } from '../../said';

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
  readonly refused: Said;
  readonly doc?: string;
  /** Where, as a JSON Pointer into that document. */
  readonly path?: string;
}

/** Whether what came of an edit is why it was not done. */
export function isRefusal<T extends object>(result: T | Refusal): result is Refusal {
  return 'refused' in result;
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

/** The documents that changes touch, each once. */
export function touched(changes: readonly Change[]): string[] {
  return [...new Set(changes.map(({ doc }) => doc))];
}
