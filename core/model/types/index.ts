import { Type, type Static } from '@sinclair/typebox';
import type { KindOf } from './kind';
import { entriesKind } from './entries';
import { actionKind } from './action';
import { listKind } from './list';
import { PLAIN_KINDS, specsOf, typedSchemas } from './plain';

export { Option, sameOption } from './choice';

/** Every kind of value there is. */
export const VALUE_KINDS = [...PLAIN_KINDS, entriesKind, listKind, actionKind] as const;

/** The type of what a property, a field or a place takes: its kind, with what belongs to that. */
export const TypeSpec = Type.Union([...specsOf(VALUE_KINDS)]);
export type TypeSpec = Static<typeof TypeSpec>;
/** The name of a kind of value. */
export type ValueKind = TypeSpec['kind'];
/** The type of a kind of value, with what belongs to that kind. */
export type SpecOf<K extends ValueKind> = Extract<TypeSpec, { kind: K }>;

/** A value together with the kind it was written in; it is converted on reading, never on storing. */
export const Typed = Type.Union([...typedSchemas(VALUE_KINDS)]);
export type Typed = Static<typeof Typed>;
/** A value of one kind. */
export type TypedOf<K extends ValueKind> = Extract<Typed, { type: K }>;

const BY_NAME = new Map<string, KindOf>(
  VALUE_KINDS.map((kind) => [kind.kind, kind as unknown as KindOf]),
);

/** What there is to say about a kind of value. */
export function kindOf(kind: ValueKind): KindOf {
  return BY_NAME.get(kind)!;
}

// The types that places of HTML take, which nothing narrows.

/** Words without any marks. */
export const TEXT = Object.freeze({ kind: 'text' }) satisfies SpecOf<'text'>;
/** Rich text of any sort. */
export const RICH = Object.freeze({ kind: 'rich' }) satisfies SpecOf<'rich'>;
/** Yes or no. */
export const BOOLEAN = Object.freeze({ kind: 'boolean' }) satisfies SpecOf<'boolean'>;
/** Where a link leads. */
export const LINK = Object.freeze({ kind: 'link' }) satisfies SpecOf<'link'>;
/** A picture of the site. */
export const IMAGE = Object.freeze({ kind: 'image' }) satisfies SpecOf<'image'>;
/** A day. */
export const DATE = Object.freeze({ kind: 'date' }) satisfies SpecOf<'date'>;
/** A number without limits. */
export const NUMBER = Object.freeze({ kind: 'number' }) satisfies SpecOf<'number'>;
/** An icon. */
export const ICON = Object.freeze({ kind: 'icon' }) satisfies SpecOf<'icon'>;
/** A film of the site. */
export const VIDEO = Object.freeze({ kind: 'video' }) satisfies SpecOf<'video'>;
/** What something does. */
export const ACTION = Object.freeze({ kind: 'action' }) satisfies SpecOf<'action'>;
/** An entry of any content type. */
export const ENTRY = Object.freeze({ kind: 'entry' }) satisfies SpecOf<'entry'>;

/** The type of a kind that nothing narrows: a choice of no options, a list of records without fields. */
export function kindOnly(kind: ValueKind): TypeSpec {
  if (kind === 'choice') return { kind, options: {} };
  if (kind === 'list') return { kind, fields: {} };
  if (kind === 'tag' || kind === 'theme' || kind === 'style') return { kind, of: {} };
  return { kind };
}

/** Kinds of which no content holds a value: what they choose from belongs to a definition, what they do to a place. */
export const NEVER_CONTENT: ReadonlySet<ValueKind> = new Set(['tag', 'theme', 'style', 'action']);

/** Whether a type lets through every value of its kind. */
export function isWide(spec: TypeSpec): boolean {
  if (kindOf(spec.kind).within === undefined) return true;
  for (const member in spec)
    if (member !== 'kind' && spec[member as keyof TypeSpec] !== undefined) return false;
  return true;
}

export type { BoundAction } from './action';
export { ColourValue } from './colour';
export { TokenOf, tokenProperty } from './token-of';
export { ICON_SHAPES, IconValue, type IconPaint } from './icon';
export { ImageValue } from './image';
export type { Fragment, FragmentElement, KindOf, SiteValues, Written } from './kind';
export { LENGTH_UNITS, lengthCss, LengthValue } from './length';
export { addressOfContact, LinkValue, opensBeside } from './link-value';
export { ListRecord, RecordField } from './list';
export { VideoValue } from './video';
export {
  RICH_PIECE,
  RICH_TAGS,
  richWords,
  ValuePlace,
  WORDS_PIECE,
  type RichPiece,
  type WordsPiece,
} from './rich';
