import { Type, type Static, type TSchema } from '@sinclair/typebox';
import { booleanKind } from './boolean';
import { choiceKind } from './choice';
import { colourKind } from './colour';
import { dateKind } from './date';
import { entryKind } from './entry';
import { imageKind } from './image';
import { lengthKind } from './length';
import { linkKind } from './link';
import { numberKind } from './number';
import { richKind } from './rich';
import { iconKind } from './icon';
import { styleKind } from './style';
import { tagKind } from './tag';
import { textKind } from './text';
import { themeKind } from './theme';
import { videoKind } from './video';

/** Every kind but lists, which hold values of these: one line for each. */
export const PLAIN_KINDS = [
  textKind,
  richKind,
  linkKind,
  imageKind,
  booleanKind,
  numberKind,
  lengthKind,
  colourKind,
  choiceKind,
  dateKind,
  entryKind,
  iconKind,
  videoKind,
  tagKind,
  themeKind,
  styleKind,
] as const;

type Described = { readonly kind: string; readonly spec: TSchema; readonly value: TSchema };

/** The schemas of the specs of some kinds, as a union keeps them apart. */
export function specsOf<const T extends readonly Described[]>(kinds: T) {
  return kinds.map(({ spec }) => spec) as unknown as { [I in keyof T]: T[I]['spec'] };
}

function typedOf<K extends string, V extends TSchema>(kind: K, value: V) {
  return Type.Object(
    { type: Type.Literal(kind), value: Type.Union([value, Type.Null()]) },
    { additionalProperties: false },
  );
}
type TypedOf<T extends Described> = ReturnType<typeof typedOf<T['kind'], T['value']>>;

/** The schemas of values together with the kind they were written in; a value may be none. */
export function typedSchemas<const T extends readonly Described[]>(kinds: T) {
  return kinds.map(({ kind, value }) => typedOf(kind, value)) as unknown as {
    [I in keyof T]: TypedOf<T[I]>;
  };
}

/** A type that holds no other types: every kind but lists. */
export const PlainSpec = Type.Union([...specsOf(PLAIN_KINDS)]);
export type PlainSpec = Static<typeof PlainSpec>;

/** A value of such a type. */
export const PlainTyped = Type.Union([...typedSchemas(PLAIN_KINDS)]);
export type PlainTyped = Static<typeof PlainTyped>;
