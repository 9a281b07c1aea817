import type { Static, TObject } from '@sinclair/typebox';
import type { Documents, TreeNode } from '../model';
import { say, type Said, type GoneCode } from '../said';
import type { Change, Refusal } from './changes';

/** What was done before, as far as an edit may ask: what an edit of this id changed, and how the history names it. */
export interface PastEdit {
  readonly changes: readonly Change[];
  readonly said: Said;
}
/** Looks up what an edit of this id did; nothing where the history does not have it. */
export type Past = (edit: string) => PastEdit | undefined;

/**
 * A kind of edit: the schema of its arguments (every new id among them), what it does as a pure function
 * to changes, and how the history names it.
 */
export interface EditKind<S extends TObject = TObject> {
  readonly args: S;
  run(documents: Documents, args: Static<S>, past: Past): Change[] | Refusal;
  /** What was done, as the history tells it: words in the past tense, as “set the heading of Shed intro”. */
  told(documents: Documents, args: Static<S>, past: Past): Said;
}

/** Gives an edit kind the types of its schema. */
export function defineEdit<S extends TObject>(kind: EditKind<S>): EditKind<S> {
  return kind;
}

/** An edit that is not done, with why, and where in which document the cause stands (a JSON Pointer). */
export function refuse(refused: Said, doc?: string, path?: string): Refusal {
  const refusal: { refused: Said; doc?: string; path?: string } = { refused };
  if (doc !== undefined) refusal.doc = doc;
  if (path !== undefined) refusal.path = path;
  return refusal;
}

/** Refused, because what should look otherwise is not there any more, or is nothing that has a look of its own. */
export function notStyled(node: TreeNode | undefined, what: GoneCode, doc: string): Refusal {
  return node ? refuse(say('only-placed-has-look'), doc) : gone(what, doc);
}

/** Refused, because what it is about is not there any more. */
export function gone(what: GoneCode, doc: string, path?: string): Refusal {
  return refuse(say('gone', { what: say(what) }), doc, path);
}
