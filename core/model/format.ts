import { Type, type Static } from '@sinclair/typebox';
import { DATE_STYLES, type PluralForm } from '../locale';
import { ID_PATTERN } from './ids';

const exact = { additionalProperties: false };
const oneOf = <T extends string>(words: readonly T[]) =>
  Type.Union(words.map((word) => Type.Literal(word)));

/** How a number stands among words: its digits, and what it counts. */
export const NumberFormat = Type.Object(
  {
    as: Type.Literal('number'),
    /** Digits after the decimal sign, at the least and at the most. */
    least: Type.Optional(Type.Integer({ minimum: 0, maximum: 10 })),
    most: Type.Optional(Type.Integer({ minimum: 0, maximum: 10 })),
    /** Whether thousands stand apart. */
    grouped: Type.Optional(Type.Boolean()),
    of: Type.Optional(
      Type.Union([
        Type.Object({ is: Type.Literal('percent') }, exact),
        /** By its code (ISO 4217). */
        Type.Object(
          { is: Type.Literal('money'), currency: Type.String({ pattern: '^[A-Z]{3}$' }) },
          exact,
        ),
        Type.Object(
          {
            is: Type.Literal('unit'),
            unit: Type.String({ pattern: '^[a-z][a-z-]{0,39}$' }),
            short: Type.Optional(Type.Boolean()),
          },
          exact,
        ),
      ]),
    ),
  },
  exact,
);
/** How a number is written among words. */
export type NumberFormat = Static<typeof NumberFormat>;

const formText = Type.String({ maxLength: 200 });

/** The words for each form that a language may tell apart. */
const PluralForms = Type.Object(
  {
    zero: Type.Optional(formText),
    one: Type.Optional(formText),
    two: Type.Optional(formText),
    few: Type.Optional(formText),
    many: Type.Optional(formText),
    other: Type.Optional(formText),
  } satisfies Record<PluralForm, unknown>,
  exact,
);

/** How a value is written where it stands among words; without one, as it is in words anyway. */
export const FORMAT_OF_VALUE = Type.Union(
  [
    NumberFormat,
    Type.Object({ as: Type.Literal('date'), style: oneOf(DATE_STYLES) }, exact),
    /** The records of a list by one of their fields, in one line. */
    Type.Object(
      {
        as: Type.Literal('list'),
        by: Type.Union([Type.Literal('and'), Type.Literal('or')]),
        field: Type.Optional(Type.String({ pattern: ID_PATTERN })),
      },
      exact,
    ),
    /** Words that go with a number: by the plural forms of the language (CLDR), with `#` for the number. */
    Type.Object(
      {
        as: Type.Literal('plural'),
        forms: PluralForms,
        /** What is written for none at all, whatever form that would take. */
        none: Type.Optional(formText),
        number: Type.Optional(NumberFormat),
      },
      exact,
    ),
  ],
  { $id: 'Format' },
);
/** How a value is written where it stands among words. */
export type Format = Static<typeof FORMAT_OF_VALUE>;
/** The schema of a format by reference, as others hold it. */
export const Format = Type.Unsafe<Format>(Type.Ref('Format'));
