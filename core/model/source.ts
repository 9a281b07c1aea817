import { Type, type Static, type TSchema } from '@sinclair/typebox';
import type { ActOf } from './act-shapes';
import { ID_PATTERN, NAME_PATTERN, type NodeId } from './ids';
import { ValuePlace, VALUE_KINDS, type Typed, type WordsPiece } from './types';

const Id = Type.String({ pattern: ID_PATTERN });

/** Which entry a field is read from: the page's own, or that of the repeat around. */
const From = Type.Union([
  Type.Literal('page'),
  Type.Object({ repeat: Id }, { additionalProperties: false }),
]);

/** What is asked of where an item stands among those of its repeat: its number, from 1; whether it is one of some. */
export const POSITIONS = ['number', 'first', 'last', 'even', 'odd'] as const;
const PositionAs = Type.Union(POSITIONS.map((as) => Type.Literal(as)));
/** What of it is asked: the number is a number, everything else yes or no. */
export type PositionAs = (typeof POSITIONS)[number];

/**
 * What is asked of the pages that a long list is divided over: which one this is, from 1; how many there are; where the
 * one before and the next are, empty where there is none.
 */
export const LEAF_PARTS = ['number', 'count', 'before', 'next'] as const;
const LeafAs = Type.Union(LEAF_PARTS.map((as) => Type.Literal(as)));
/** What of it is asked: the first two are numbers, the others are links. */
export type LeafAs = (typeof LEAF_PARTS)[number];

/** The schema of a value written where it stands. */
function literalOf<K extends string, V extends TSchema, E extends TSchema>(
  type: K,
  value: V,
  whenEmpty: E,
) {
  return Type.Object(
    {
      is: Type.Literal('value'),
      type: Type.Literal(type),
      value: Type.Union([value, Type.Null()]),
      whenEmpty,
    },
    { additionalProperties: false },
  );
}

type Described = { readonly kind: string; readonly value: TSchema };

function literalSchemas<const T extends readonly Described[], E extends TSchema>(
  kinds: T,
  whenEmpty: E,
) {
  return kinds.map(({ kind, value }) => literalOf(kind, value, whenEmpty)) as unknown as {
    [I in keyof T]: ReturnType<typeof literalOf<T[I]['kind'], T[I]['value'], E>>;
  };
}

/**
 * Where a value comes from. Wherever something can vary it holds a source, and nothing else gives values.
 * `path` may cross references; an empty path is the entry itself.
 */
export const SOURCE_SCHEMA = Type.Recursive(
  (Self) => {
    const whenEmpty = Type.Optional(
      Type.Union([
        Type.Object({ use: Self }, { additionalProperties: false }),
        Type.Literal('default'),
        Type.Literal('nothing'),
        Type.Literal('hide'),
      ]),
    );
    /** What the names in it stand for: so that renaming rewrites nothing. */
    const names = Type.Record(Type.String({ pattern: NAME_PATTERN }), Self, {
      additionalProperties: false,
      maxProperties: 60,
    });
    return Type.Union([
      ...literalSchemas(VALUE_KINDS, whenEmpty),
      Type.Object(
        {
          is: Type.Literal('property'),
          property: Id,
          path: Type.Optional(Type.Array(Id, { maxItems: 8 })),
          whenEmpty,
        },
        { additionalProperties: false },
      ),
      Type.Object(
        {
          is: Type.Literal('field'),
          from: From,
          path: Type.Array(Id, { maxItems: 8 }),
          whenEmpty,
        },
        { additionalProperties: false },
      ),
      Type.Object(
        {
          is: Type.Literal('position'),
          repeat: Id,
          as: PositionAs,
          whenEmpty,
        },
        { additionalProperties: false },
      ),
      Type.Object(
        {
          /** Whether something begins with an item of a repeat: `of` gives another value there than at the item before. */
          is: Type.Literal('begins'),
          repeat: Id,
          of: Self,
          whenEmpty,
        },
        { additionalProperties: false },
      ),
      Type.Object(
        {
          /** Of the pages that a list of this document is divided over: it need not be around. */
          is: Type.Literal('leaf'),
          repeat: Id,
          as: LeafAs,
          whenEmpty,
        },
        { additionalProperties: false },
      ),
      Type.Object(
        {
          /** The day on which the page is made, or so many days after it (before it, below 0). */
          is: Type.Literal('today'),
          days: Type.Optional(Type.Integer({ minimum: -36500, maximum: 36500 })),
          whenEmpty,
        },
        { additionalProperties: false },
      ),
      Type.Object(
        {
          is: Type.Literal('expression'),
          /** CEL, in which every name is one of `names`. */
          cel: Type.String({ minLength: 1, maxLength: 2000 }),
          names,
          whenEmpty,
        },
        { additionalProperties: false },
      ),
      Type.Object(
        {
          is: Type.Literal('words'),
          of: Type.Literal('text'),
          pieces: Type.Array(Type.Union([Type.String({ maxLength: 20000 }), ValuePlace]), {
            maxItems: 200,
          }),
          names,
          whenEmpty,
        },
        { additionalProperties: false },
      ),
      Type.Object(
        {
          is: Type.Literal('words'),
          of: Type.Literal('rich'),
          pieces: Type.Array(Type.Unsafe<WordsPiece>(Type.Ref('WordsPiece')), { maxItems: 2000 }),
          names,
          whenEmpty,
        },
        { additionalProperties: false },
      ),
      Type.Object(
        {
          /** What is to be done, for what takes an action: its acts mean what they mean where this stands. */
          is: Type.Literal('acts'),
          acts: Type.Unsafe<SourceActs>(Type.Ref('Acts')),
          whenEmpty,
        },
        { additionalProperties: false },
      ),
    ]);
  },
  { $id: 'Source' },
);
export type Source = Static<typeof SOURCE_SCHEMA>;
/** Acts with sources in them: an interface, which may hold what it is held by. */
export interface SourceActs {
  [id: string]: ActOf<Source>;
}
/** The schema of a source by reference, as other schemas hold it: it is recursive, so it is written once. */
export const Source = Type.Unsafe<Source>(Type.Ref('Source'));
/** What is shown where a source gives nothing: the default, nothing, not even the element, or another source. */
export type WhenEmpty = NonNullable<Source['whenEmpty']>;
/** A source that is a value written where it stands. */
export type Literal = Extract<Source, { is: 'value' }>;

/** A source that says where the item of a repeat stands among the others. */
export type PositionSource = Extract<Source, { is: 'position' }>;

/** A source that says something of the pages a list is divided over. */
export type LeafSource = Extract<Source, { is: 'leaf' }>;

/** A source that says which day it is. */
export type TodaySource = Extract<Source, { is: 'today' }>;

/** A source that is read from around: a field, where an item of a repeat stands, the pages a list is divided over, the day. */
export type Bound = Extract<Source, { is: 'field' | 'position' | 'leaf' | 'today' }>;

/** The source where it is read from content; nothing for others. */
export function boundIn(source: Source | null | undefined): Bound | undefined {
  switch (source?.is) {
    case 'field':
    case 'position':
    case 'leaf':
    case 'today':
      return source;
    default:
      return undefined;
  }
}

/** A source that says whether something begins with the item of a repeat. */
export type Begins = Extract<Source, { is: 'begins' }>;

/** The repeat of which a source reads the items, where they stand, or what begins with them; nothing for others. */
export function repeatRead(source: Source): NodeId | undefined {
  if (source.is === 'position' || source.is === 'begins') return source.repeat;
  return source.is === 'field' && source.from !== 'page' ? source.from.repeat : undefined;
}

/** A source that is worked out from others. */
export type Expression = Extract<Source, { is: 'expression' }>;

/** A value written where it stands, as a source. */
export function literal(value: Typed): Literal {
  return { is: 'value', ...value };
}

/** The value that a source is, where it is written where it stands; nothing for one that is read or worked out. */
export function writtenIn(source: Source | undefined): Typed | undefined {
  return source?.is === 'value' ? source : undefined;
}

/** A source that is words with values among them. */
export type Words = Extract<Source, { is: 'words' }>;

/** A source that is made from what its names stand for. */
export type Made = Expression | Words;

/** Whether a source is made from others: worked out, or words around them. */
export function isMade(source: Source | undefined): source is Made {
  return source?.is === 'expression' || source?.is === 'words';
}

/** A literal source of type text. */
export function text(value: string): Literal {
  return { is: 'value', type: 'text', value };
}

/** A literal source of type boolean. */
export function yesNo(value: boolean): Literal {
  return { is: 'value', type: 'boolean', value };
}
