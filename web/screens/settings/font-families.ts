import { allOf, type Documents, type Font, type Token } from '@sormet/core/model';
import { splitAt } from '@sormet/core/style';

/** A family of fonts of a site, with its faces by id, the lightest first, upright before slanted. */
export interface Family {
  readonly name: string;
  readonly faces: readonly (readonly [id: string, font: Font])[];
}

/** The families that a site ships with, by name. */
export function familiesOf({ site }: Documents): Family[] {
  const families = new Map<string, [string, Font][]>();
  for (const face of Object.entries(site.fonts)) {
    const name = face[1].family.toLowerCase();
    families.set(name, [...(families.get(name) ?? []), face]);
  }
  return [...families.values()]
    .map((faces) => ({ name: faces[0]![1].family, faces: faces.sort(inOrder) }))
    .sort((one, other) => one.name.localeCompare(other.name));
}

function inOrder([a, one]: [string, Font], [b, other]: [string, Font]): number {
  return (
    parseInt(one.weight, 10) - parseInt(other.weight, 10) ||
    Number(one.style === 'italic') - Number(other.style === 'italic') ||
    // Those for the letters that most words have, first: their characters begin lowest.
    (one.range ?? '').localeCompare(other.range ?? '') ||
    (a < b ? -1 : 1)
  );
}

/** Weights in words: one, or from which to which. */
export function weightWords(weight: string): string {
  const [least, most] = weight.split(' ');
  return most === undefined ? `weight ${least}` : `weights ${least} to ${most}`;
}

/** What there is of a family, in words. */
export function facesWords({ faces }: Family): string {
  const weights = [...new Set(faces.map(([, { weight }]) => weight))];
  const single = weights.filter((weight) => !weight.includes(' '));
  const words = [
    ...(single.length > 1 ? [`weights ${single.join(', ')}`] : single.map(weightWords)),
    ...weights.filter((weight) => weight.includes(' ')).map(weightWords),
  ];
  const slanted = faces.some(([, { style }]) => style === 'italic');
  const upright = faces.some(([, { style }]) => style === 'normal');
  return words.join(', ') + (slanted ? (upright ? ', upright and italic' : ', italic') : '');
}

/** The tokens that say which fonts words are set in, by id, in their order. */
export function familyTokens({ tokens }: Documents): [id: string, token: Token][] {
  return Object.entries(tokens.tokens)
    .filter(([, { type }]) => type === 'font')
    .sort(([, one], [, other]) => (one.order < other.order ? -1 : 1));
}

/** The family that stands first in a list of fonts, as it is called. */
export function firstFamily(css: string): string {
  return (splitAt(css, ',')[0] ?? '').trim().replace(/^(["'])(.*)\1$/, '$2');
}

/** Families that CSS has a word for (CSS Fonts Level 4, 2.1.3), as they stand at the end of lists. */
const GENERIC = /^(serif|sans-serif|monospace|cursive|fantasy|system-ui|ui-[a-z-]+|math)$/i;

/** A list of fonts that begins with a family and ends with a generic one: the one given, else that of the list before. */
export function listOf(family: string, generic: string | undefined, before: string): string {
  const last = (splitAt(before, ',').at(-1) ?? '').trim();
  return `${JSON.stringify(family)}, ${generic ?? (GENERIC.test(last) ? last : 'sans-serif')}`;
}

/** In how many tokens and declarations a family is named. */
export function placesNaming(documents: Documents, family: string): number {
  const name = family.toLowerCase();
  const isNamed = (css: unknown) => typeof css === 'string' && css.toLowerCase().includes(name);
  const within = (value: unknown): number => {
    if (typeof value !== 'object' || value === null) return 0;
    let places = 0;
    for (const [member, held] of Object.entries(value))
      if (member === 'font-family') places += isNamed((held as { css?: unknown }).css) ? 1 : 0;
      else places += within(held);
    return places;
  };
  const set = familyTokens(documents).filter(([, { value }]) => isNamed(value.css)).length;
  const docs = (['style', 'page', 'component'] as const).flatMap((kind) => [
    ...allOf<'style' | 'page' | 'component'>(documents, kind),
  ]);
  return [documents.tags, ...docs].reduce((places, doc) => places + within(doc), set);
}
