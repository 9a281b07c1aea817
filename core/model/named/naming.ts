import type { DocId, NodeId } from '../ids';
import type { Source } from '../source';
import type { Declared, Ref } from '../tree';

/**
 * Something that a node, a source, a value or a type names elsewhere in its site, by its id there. Everything that
 * asks what is named, or names something else in its place, goes through the tables of this folder: they have a line
 * for each member of each schema, and without that nothing compiles.
 */
export type Named =
  | { readonly is: 'component'; readonly id: DocId; readonly by: 'instance' | 'slot' | 'act' }
  /** Put on something, worn by words, a value, or one of those that may be chosen. */
  | { readonly is: 'style'; readonly id: DocId; readonly by: 'look' | 'words' | 'value' | 'choice' }
  | { readonly is: 'theme'; readonly id: string; readonly by: 'look' | 'value' | 'choice' }
  | { readonly is: 'token'; readonly id: string }
  | { readonly is: 'width'; readonly id: string }
  | { readonly is: 'asset'; readonly id: DocId; readonly as: 'picture' | 'film' | 'still' }
  | { readonly is: 'entry'; readonly id: DocId; readonly by: 'value' | 'link' }
  | { readonly is: 'page'; readonly id: DocId }
  /** The content type that a query goes over, or of which an entry must be. */
  | { readonly is: 'type'; readonly id: DocId; readonly by: 'query' | 'choice' }
  /** Of a component: a property that is set, a slot that is filled, a part that is styled. */
  | { readonly is: 'property' | 'slot' | 'part'; readonly of: DocId; readonly id: string };

/** By which members of a node something is reached. */
export type At = readonly string[];

/** What is put in the place of what is named. Whatever answers as it was asked leaves everything as it is, the same objects. */
export interface Naming {
  /** What is named there; nothing where it means nothing, and what names it is left out. */
  readonly named: (named: Named) => string | undefined;
  /** A path of fields from a content type; from none, the fields of a list's records or of what is not known here. */
  readonly path?: (type: DocId | undefined, path: readonly string[]) => string[] | undefined;
  /** A source with all that stands in for it; left out where only what its values name is another. */
  readonly source?: (source: Source, at: At) => Source | undefined;
  /** A node of the same tree, where an act does something to it; left out where all stay what they are. */
  readonly node?: (id: NodeId) => NodeId | undefined;
  /** What is written in the place of a token that means nothing there, as a value of a kind. */
  readonly tokenValue?: (kind: 'colour' | 'length', token: string) => unknown;
  /** The same in a declaration, as CSS. */
  readonly tokenCss?: (name: string, ref: Extract<Ref, { token: string }>) => string | undefined;
  /** Told of a declaration that is left out since something in it means nothing. */
  readonly lostDeclaration?: (key: string, declared: Declared) => void;
}

/** One member of a schema: what stands there now; nothing where it is left out. `Whole` is what it stands in. */
export type Member<T, Whole> = (value: T, on: Naming, at: At, whole: Whole) => T | undefined;

/** A line for each member: another one in the schema is one missing here. */
export type Members<Whole extends object> = {
  readonly [M in keyof Required<Whole>]: Member<NonNullable<Whole[M]>, Whole>;
};

/** A member that names nothing. */
export const plain = <T>(value: T): T => value;

/** A whole with each of its members as it is named now; the same object where none is another. */
export function mapMembers<Whole extends object>(
  whole: Whole,
  members: Members<Whole>,
  on: Naming,
  at: At,
): Whole {
  let made: Record<string, unknown> | undefined;
  const held = whole as Record<string, unknown>;
  for (const name of Object.keys(members).sort()) {
    const value = held[name];
    if (value === undefined) continue;
    const member = (members as Record<string, Member<unknown, Whole>>)[name]!;
    const now = member(value, on, [...at, name], whole);
    if (now === value) continue;
    made ??= { ...held };
    if (now === undefined) delete made[name];
    else made[name] = now;
  }
  return (made ?? whole) as Whole;
}

/** A record with each entry as it is named now; entries that become nothing are left out. */
export function mapRecord<T>(
  record: Readonly<Record<string, T>>,
  at: At,
  each: (value: T, at: At, key: string) => readonly [key: string, value: T] | undefined,
): Record<string, T> {
  const made: Record<string, T> = {};
  let same = true;
  for (const key of Object.keys(record).sort()) {
    const now = each(record[key]!, [...at, key], key);
    if (!now || now[0] !== key || now[1] !== record[key]) same = false;
    if (now) made[now[0]] = now[1];
  }
  return same ? record : made;
}

/** A list with each of its things as it is named now; the same list where none is another. */
export function mapList<T>(list: readonly T[], each: (value: T, i: number) => T): T[] {
  let same = true;
  const made = list.map((value, i) => {
    const now = each(value, i);
    if (now !== value) same = false;
    return now;
  });
  return same ? (list as T[]) : made;
}
