import { Type, type Static } from '@sinclair/typebox';
import { ID_PATTERN } from './ids';

const Id = Type.String({ pattern: ID_PATTERN });

/** The types a value may have. `convert` in core/value says which may feed which. */
export const ValueType = Type.Union([
  Type.Literal('text'),
  Type.Literal('boolean'),
  Type.Literal('number'),
  Type.Literal('date'),
  Type.Literal('link'),
  Type.Literal('image'),
  Type.Literal('entry'),
]);
export type ValueType = Static<typeof ValueType>;

/** Where a link leads: a page by id (with the entry, on pages made from entries), or an address. */
export const LinkValue = Type.Union([
  Type.Object(
    { to: Type.Literal('page'), page: Id, entry: Type.Optional(Id) },
    { additionalProperties: false },
  ),
  Type.Object(
    { to: Type.Literal('address'), href: Type.String({ maxLength: 2000 }) },
    { additionalProperties: false },
  ),
]);
export type LinkValue = Static<typeof LinkValue>;

/** A picture, by the id of its asset. */
export const ImageValue = Type.Object({ asset: Id }, { additionalProperties: false });
export type ImageValue = Static<typeof ImageValue>;

/** The JSON Schema of the value of each type. A date is an RFC 3339 full-date, an entry the id of its document. */
export const VALUE_SCHEMAS = {
  text: Type.String({ maxLength: 20000 }),
  boolean: Type.Boolean(),
  number: Type.Number(),
  date: Type.String({ pattern: '^\\d{4}-\\d{2}-\\d{2}$|^$' }),
  link: LinkValue,
  image: ImageValue,
  entry: Id,
} as const;

/** A value together with the type it was written in; it is converted on reading, never on storing. */
function typed<T extends ValueType, S extends (typeof VALUE_SCHEMAS)[T]>(type: T, value: S) {
  return Type.Object(
    { type: Type.Literal(type), value: Type.Union([value, Type.Null()]) },
    { additionalProperties: false },
  );
}

export const Typed = Type.Union([
  typed('text', VALUE_SCHEMAS.text),
  typed('boolean', VALUE_SCHEMAS.boolean),
  typed('number', VALUE_SCHEMAS.number),
  typed('date', VALUE_SCHEMAS.date),
  typed('link', VALUE_SCHEMAS.link),
  typed('image', VALUE_SCHEMAS.image),
  typed('entry', VALUE_SCHEMAS.entry),
]);
export type Typed = Static<typeof Typed>;

/** Which entry a field is read from: the page's own, or that of the repeat around. */
const From = Type.Union([
  Type.Literal('page'),
  Type.Object({ repeat: Id }, { additionalProperties: false }),
]);

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
    const literal = <T extends ValueType, S extends (typeof VALUE_SCHEMAS)[T]>(type: T, value: S) =>
      Type.Object(
        {
          is: Type.Literal('value'),
          type: Type.Literal(type),
          value: Type.Union([value, Type.Null()]),
          whenEmpty,
        },
        { additionalProperties: false },
      );
    return Type.Union([
      literal('text', VALUE_SCHEMAS.text),
      literal('boolean', VALUE_SCHEMAS.boolean),
      literal('number', VALUE_SCHEMAS.number),
      literal('date', VALUE_SCHEMAS.date),
      literal('link', VALUE_SCHEMAS.link),
      literal('image', VALUE_SCHEMAS.image),
      literal('entry', VALUE_SCHEMAS.entry),
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
    ]);
  },
  { $id: 'Source' },
);
export type Source = Static<typeof SOURCE_SCHEMA>;
/** The schema of a source by reference, as other schemas hold it: it is recursive, so it is written once. */
export const Source = Type.Unsafe<Source>(Type.Ref('Source'));
export type WhenEmpty = NonNullable<Source['whenEmpty']>;
export type Literal = Extract<Source, { is: 'value' }>;

/** A literal source of type text. */
export function text(value: string): Literal {
  return { is: 'value', type: 'text', value };
}

/** A literal source of type boolean. */
export function yesNo(value: boolean): Literal {
  return { is: 'value', type: 'boolean', value };
}
