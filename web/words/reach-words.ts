import type { Answer, OptionReach } from '@sormet/core/reach';
import { count } from './count';

/**
 * Whom a definition reaches, in words: `3 instances in 2 documents, on 14 published pages`.
 * @param elements how many elements on pages that comes to, said where it is not one for each instance
 */
export function reachWords({ instances, published }: Answer, elements?: number): string {
  const places = instances.filter(({ kind }) => kind === 'places');
  const documents = new Set(places.map(({ from }) => from));
  if (places.length === 0) return 'no instance yet';
  const more =
    elements === undefined || elements === places.length ? '' : `: ${count(elements, 'element')}`;
  return `${count(places.length, 'instance')} in ${count(documents.size, 'document')}, on ${count(published, 'published page')}${more}`;
}

/** The same where there is little room: `reaches 3 on 14 pages`. */
export function shortReach({ instances, published }: Answer): string {
  const places = instances.filter(({ kind }) => kind === 'places').length;
  return places === 0 ? 'no instance yet' : `reaches ${places} on ${count(published, 'page')}`;
}

/** Whom a variant reaches, in words: `4 of 14 instances, on 3 pages`; those that may have it besides are said. */
export function optionReachWords(
  { instances, pages, perhaps }: OptionReach,
  { instances: uses }: Answer,
): string {
  const all = uses.filter(({ kind }) => kind === 'places').length;
  const more = perhaps === 0 ? '' : `, perhaps ${perhaps} more by what they are bound to`;
  return instances === 0
    ? `none of ${count(all, 'instance')} yet${more}`
    : `${instances} of ${count(all, 'instance')}, on ${count(pages, 'page')}${more}`;
}
