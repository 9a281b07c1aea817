import {
  own,
  type DocId,
  type EntryDoc,
  type FieldId,
  type NodeId,
  type PropertyId,
  type Source,
  type Typed,
  type ValueType,
} from '../model';
import { convert } from './convert';
import type { Data } from './data';

/** The result of a value that, being empty, was decided to hide the element that uses it. */
export const HIDE = Object.freeze({ type: 'hide' as const, value: null });
export type Hide = typeof HIDE;

/** A value that is known: typed, empty (`null`), or one that hides what uses it. */
export type Known = Typed | Hide | null;

/** What is known only when a page is written: the page's entry, and those of the repeats around, by depth. */
export type Run = { page: EntryDoc; items: EntryDoc[] };

/** A value that must be read for each page: the residue of partial evaluation. */
export class Later {
  constructor(
    readonly read: (run: Run) => Known,
    /** Whether reading can ever give `HIDE`; where not, nobody needs to look. */
    readonly mayHide: boolean,
    /** The type of what is read, when it is converted and checked for emptiness already. */
    readonly type?: ValueType,
    /** The one field it is read from, when it is: of the page's entry, or of the repeat at a depth, with its declared type. */
    readonly field?: {
      readonly of: 'page' | number;
      readonly id: FieldId;
      readonly declared: ValueType;
    },
  ) {}
}

/** An entry that is known only when a page is written. */
export class LaterEntry {
  constructor(
    readonly read: (run: Run) => EntryDoc,
    /** The page's own, or that of the repeat at a depth. */
    readonly of: 'page' | number,
    /** Its content type. */
    readonly type: DocId,
  ) {}
}

export type Result = Known | Later;

/** What names mean at one place: lexical, as in HTML. */
export interface Names {
  readonly data: Data;
  /** The values of the properties of the definition around, given by the place where its instance stands. */
  readonly properties: Readonly<Record<PropertyId, Result>>;
  /** The entry a page is made for. */
  readonly page: EntryDoc | LaterEntry | undefined;
  /** The entries of the repeats around, by the repeat's node. */
  readonly repeats: Readonly<Record<NodeId, EntryDoc | LaterEntry>>;
}

/**
 * The value a source gives at a place that takes one type. This is the only evaluator: with all names
 * known it gives the value, with the entry unknown it gives what is left to do when a page is written.
 * @param fallback what `default` means here: the property's default where an instance's value is read
 */
export function evaluate(
  source: Source,
  type: ValueType,
  names: Names,
  fallback: Result = null,
): Result {
  const { whenEmpty } = source;
  const otherwise: Result =
    whenEmpty === undefined || whenEmpty === 'nothing'
      ? null
      : whenEmpty === 'hide'
        ? HIDE
        : whenEmpty === 'default'
          ? fallback
          : evaluate(whenEmpty.use, type, names, fallback);
  const raw = read(source, names);
  if (!(raw instanceof Later)) {
    const value = as(raw, type, names.data);
    return value === null ? otherwise : value;
  }
  // A value handed on as it is was converted where it came in: nothing is left to do here.
  if (raw.type === type && otherwise === null) return raw;
  const { data } = names;
  const mayHide =
    raw.mayHide || otherwise === HIDE || (otherwise instanceof Later && otherwise.mayHide);
  const readAs =
    otherwise instanceof Later
      ? (run: Run) => as(raw.read(run), type, data) ?? otherwise.read(run)
      : (run: Run) => as(raw.read(run), type, data) ?? otherwise;
  return new Later(readAs, mayHide, type, raw.field);
}

function as(value: Known, type: ValueType, data: Data): Known {
  if (value === null || value.type === 'hide') return value;
  return convert(value, type, data);
}

function read(source: Source, names: Names): Result {
  switch (source.is) {
    case 'value':
      return source as Typed;
    case 'property': {
      const value = own(names.properties, source.property) ?? null;
      return source.path === undefined || source.path.length === 0
        ? value
        : alongPath(value, source.path, names.data);
    }
    case 'field': {
      const entry = source.from === 'page' ? names.page : own(names.repeats, source.from.repeat);
      if (entry === undefined) return null;
      if (!(entry instanceof LaterEntry)) return fieldOf(entry, source.path, names.data);
      const { path } = source;
      const { data } = names;
      if (path.length === 1) {
        const id = path[0]!;
        const declared = declaredType(entry.type, id, data);
        if (declared === undefined) return null;
        return new Later(
          (run) => as(own(entry.read(run).values, id) ?? null, declared, data),
          false,
          undefined,
          { of: entry.of, id, declared },
        );
      }
      return new Later((run) => fieldOf(entry.read(run), path, data), false);
    }
  }
}

function alongPath(value: Result, path: readonly FieldId[], data: Data): Result {
  const follow = (known: Known): Known => {
    if (known === null || known.type !== 'entry' || known.value === null)
      return known !== null && known.type === 'hide' ? known : null;
    const entry = data.entry(known.value);
    return entry ? fieldOf(entry, path, data) : null;
  };
  return value instanceof Later
    ? new Later((run) => follow(value.read(run)), value.mayHide)
    : follow(value);
}

/** The type that a content type gives to a field; nothing when either is gone. */
export function declaredType(type: DocId, field: FieldId, data: Data): ValueType | undefined {
  const fields = data.type(type)?.fields;
  return fields && own(fields, field)?.type;
}

/** What an entry holds in a field, as the field's declared type; nothing when it is empty, does not convert, or the field is gone. */
export function declaredValue(entry: EntryDoc, field: FieldId, data: Data): Typed | null {
  const declared = declaredType(entry.type, field, data);
  const held = own(entry.values, field);
  return declared === undefined || held === undefined ? null : convert(held, declared, data);
}

/** The value of an entry's field, crossing references along the path; an empty path is the entry itself. */
export function fieldOf(entry: EntryDoc, path: readonly FieldId[], data: Data): Typed | null {
  const last = path.at(-1);
  if (last === undefined) return { type: 'entry', value: entry.id };
  let at: EntryDoc = entry;
  for (const step of path.slice(0, -1)) {
    const reference = declaredValue(at, step, data);
    const next =
      reference?.type === 'entry' && reference.value !== null
        ? data.entry(reference.value)
        : undefined;
    if (!next) return null;
    at = next;
  }
  return declaredValue(at, last, data);
}
