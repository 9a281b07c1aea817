import { isSaid, type About, type CODES, type Said, type Told } from '@sormet/core/said';
import type { Refusal } from '@sormet/core/edit';
import { ENGLISH } from './english';
import type { WordsOf } from './words-of';

/** The language that everything is told in. Another is another table of the same type, chosen here. */
const LANGUAGE: WordsOf<typeof CODES> = ENGLISH;

/** What was said, in words: as a part of a sentence where it is one. */
export function inWords(said: Said): string {
  // Another version may have stored what this one has no words for, or the same code of something else.
  if (!isSaid(said)) return LANGUAGE['not-said-here'];
  const { code, about = {} } = said;
  const chosen = LANGUAGE[code] as string | ((about: Readonly<Record<string, unknown>>) => string);
  if (typeof chosen === 'string') return chosen;
  return chosen(
    Object.fromEntries(Object.entries(about).map(([name, value]) => [name, given(value)])),
  );
}

/** The same as a whole sentence. */
export function sentence(said: Said): string {
  const all = inWords(said);
  return all.slice(0, 1).toUpperCase() + all.slice(1) + (/[.!?]$/.test(all) ? '' : '.');
}

/** A name as it stands, or the words for what has none. */
export function toldWords(told: Told): string {
  return typeof told === 'object' ? inWords(told) : String(told);
}

/** Why an edit was refused, as a sentence; nothing where it was done. */
export function refusalWords(refusal: Refusal | undefined): string {
  return refusal ? sentence(refusal.refused) : '';
}

function given(value: About): unknown {
  if (typeof value === 'number') return value;
  return Array.isArray(value)
    ? (value as readonly Told[]).map(toldWords)
    : toldWords(value as Told);
}
