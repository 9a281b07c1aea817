import { Type, type Static, type TObject, type TProperties, type TSchema } from '@sinclair/typebox';
import type { Language } from '../../locale';
import type { Said } from '../../said';
import type { MediaType } from '../assets';
import type { LinkValue } from './link-value';

/** As much of an entry and of a file as values need: documents are described with these kinds, not the other way round. */
export interface KnownEntry {
  readonly id: string;
  readonly type: string;
}
/** A file as whoever writes a value needs it: its address and its size in CSS px. */
export interface KnownAsset {
  readonly sha256: string;
  readonly mediaType: MediaType;
  /** What stands for it where nobody says another. */
  readonly alt?: string | undefined;
  /** What of it is never cropped away, in percent from its left and its upper edge. */
  readonly focus?: { readonly x: number; readonly y: number } | undefined;
  readonly width?: number | undefined;
  readonly height?: number | undefined;
}

/** What reading a value may ask of a site; `Data` of core/value answers it, and notes what was asked. */
export interface SiteValues {
  /** The language that dates and numbers are written in, and texts are sorted by. */
  readonly language: Language;
  entry(id: string): KnownEntry | undefined;
  asset(id: string): KnownAsset | undefined;
  /** The text by which people know an entry. */
  title(entry: KnownEntry): string;
  /** The page made from the entries of a type, when one is published. */
  pageOf(type: string): string | undefined;
  /** Whether words may have a shared style: one that is there, and modifies no other. */
  isWordStyle(id: string): boolean;
  /** The address a link leads to; `''` when it leads nowhere. */
  href(link: LinkValue): string;
}

/**
 * A piece of what a text is written as: words, or an element around more of them. Writers make HTML of it and the
 * canvas elements; nobody else writes HTML, so words stay words.
 */
export type Fragment = string | FragmentElement;
/** An element of what a value is written as. */
export interface FragmentElement {
  readonly tag: string;
  readonly attributes: Readonly<Record<string, string>>;
  readonly children: readonly Fragment[];
  /** The shared style put on it. */
  readonly style?: string;
}

/** The attributes that a value is written as, in order: a picture also gives its width and height. */
export type Written = readonly (readonly [name: string, text: string])[];

/** Conversions by the kind at the other end; `null` where this value does not convert. */
type Conversions<From, To> = Readonly<Record<string, (value: From, site: SiteValues) => To | null>>;

/**
 * Everything there is to say about one kind of value. A kind is one file with one of these and one line in the list
 * of kinds; schemas, conversion, evaluation and both writers go by it.
 */
export interface KindOf<
  K extends string = string,
  S extends TObject = TObject,
  V extends TSchema = TSchema,
> {
  readonly kind: K;
  /** The schema of a `TypeSpec` of this kind: the kind, and what belongs to it (options, fields, limits). */
  readonly spec: S;
  /** The schema of a value. */
  readonly value: V;
  /** What something new of this kind holds. */
  readonly empty: Static<V> | null;
  /** Whether a value that is there counts as empty all the same. */
  isEmpty?(value: Static<V>, site: SiteValues): boolean;
  /** A value as a narrower type lets it through, `null` where it does not; left out where no type narrows. */
  within?(value: Static<V>, spec: Static<S>, site: SiteValues): Static<V> | null;
  /** Why a value is outside of what a narrower type lets through, as a sentence; left out where that need not be told. */
  fault?(value: Static<V>, spec: Static<S>): Said | null;
  /** What a value becomes as another kind. */
  readonly to?: Conversions<Static<V>, unknown>;
  /** What values of other kinds become as this one: for kinds that came later than those. */
  readonly from?: Conversions<never, Static<V>>;
  /** What words mean as this kind: read where a type has changed, never offered as something to bind to. */
  parse?(words: string, spec: Static<S>, site?: Pick<SiteValues, 'language'>): Static<V> | null;
  /** A value in words, read back by `parse`: for the same. */
  spell?(value: Static<V>): string;
  /** What is written where text stands; left out for kinds that are not written there. */
  fragments?(value: Static<V>, site: SiteValues): readonly Fragment[];
  /** What is written as an attribute; left out for kinds that are in none. */
  attribute?(name: string, value: Static<V>, site: SiteValues): Written;
  /** Attributes that come along with the one it is written in, unless the element says them itself: by name. */
  readonly beside?: Readonly<Record<string, (value: Static<V>, site: SiteValues) => string | null>>;
  /** What of it is never cropped away, as CSS (`<position>`); nothing where it says nothing. */
  readonly focus?: (value: Static<V>, site: SiteValues) => string | null;
  /** What stands in a declaration's place for it, as CSS; left out for kinds that no declaration takes. */
  css?(value: Static<V>, site: SiteValues): string;
  /** Whether reading one asks the site for anything: whoever shows it is shown anew when the site's data is another. */
  readonly asksSite: boolean;
}

/** Gives a description of a kind the types of its schemas. */
export function defineKind<K extends string, S extends TObject, V extends TSchema>(
  kind: KindOf<K, S, V>,
): KindOf<K, S, V> {
  return kind;
}

/** The schema of a `TypeSpec`: its kind, and members of its own. */
export function specSchema<K extends string, P extends TProperties>(kind: K, properties: P) {
  return Type.Object({ kind: Type.Literal(kind), ...properties }, { additionalProperties: false });
}
