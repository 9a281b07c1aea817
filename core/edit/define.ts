import type { Static, TObject } from '@sinclair/typebox';
import type { Documents, TreeNode } from '../model';
import type { Change, Refusal } from './changes';

/** What was done before, as far as an edit may ask: what an edit of this id changed, and how the history names it. */
export interface PastEdit {
  readonly changes: readonly Change[];
  readonly says: string;
}
export type Past = (edit: string) => PastEdit | undefined;

/**
 * A kind of edit: the schema of its arguments (every new id among them), what it does as a pure function
 * to changes, and how the history names it.
 */
export interface EditKind<S extends TObject = TObject> {
  readonly args: S;
  run(documents: Documents, args: Static<S>, past: Past): Change[] | Refusal;
  /** What was done, in the past tense: `set the heading of Shed intro`. */
  says(documents: Documents, args: Static<S>, past: Past): string;
}

/** Gives an edit kind the types of its schema. */
export function defineEdit<S extends TObject>(kind: EditKind<S>): EditKind<S> {
  return kind;
}

export function refuse(refused: string, doc?: string, path?: string): Refusal {
  const refusal: { refused: string; doc?: string; path?: string } = { refused };
  if (doc !== undefined) refusal.doc = doc;
  if (path !== undefined) refusal.path = path;
  return refusal;
}

/** Refused, because what should look otherwise is not there any more, or is nothing that has a look of its own. */
export function notStyled(node: TreeNode | undefined, what: string, doc: string): Refusal {
  return node
    ? refuse(
        'Only an element or an instance has a look: words and slots have that of what they stand in.',
        doc,
      )
    : gone(what, doc);
}

/** Refused, because what it is about is not there any more. */
export function gone(what: string, doc: string): Refusal {
  return refuse(`${what} is gone; somebody has removed it.`, doc);
}
