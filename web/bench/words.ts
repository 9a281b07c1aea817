import { docOf, own, treeDocOf, type Documents, type Slot, type TreeDoc } from '@sormet/core/model';
import { nodeName, shortName } from '@sormet/core/edit';
import type { Answer } from '@sormet/core/reach';
import { count } from '../site/count-words';

export { count, momentWords } from '../site/count-words';

/** How many names are said before the rest is counted. */
const MOST_NAMES = 4;

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

/** How a document is named: a page by its path, a component by its name. */
export function documentWords(documents: Documents, id: string): string {
  const doc = treeDocOf(documents, id);
  if (!doc) return documents.get(id)?.kind ?? 'something that is gone';
  return doc.kind === 'page' ? doc.path : shortName(doc.name);
}

/** The short name of a component, for sentences. */
export function componentWords(documents: Documents, id: string): string {
  const component = docOf(documents, 'component', id);
  return component ? shortName(component.name) : 'a component that is gone';
}

/** What several are called together, those of a name counted: `3 × Mender, Heading`. */
export function namesOf(documents: Documents, doc: TreeDoc, nodes: readonly string[]): string {
  const counts = new Map<string, number>();
  for (const id of nodes) {
    const node = own(doc.nodes, id);
    const name = node && nodeName(documents, node, doc);
    if (name !== undefined) counts.set(name, (counts.get(name) ?? 0) + 1);
  }
  const words = [...counts].map(([name, n]) => (n === 1 ? name : `${n} × ${name}`));
  const more = words.length - MOST_NAMES;
  return words.slice(0, MOST_NAMES).join(', ') + (more > 0 ? ` and ${more} more` : '');
}

/** What a slot lets in, in a few words. */
export function slotWordsOf({ allows, most }: Slot): string {
  const kinds = allows
    ? `takes ${count(Object.keys(allows).length, 'component')}`
    : 'takes anything';
  return most === undefined ? kinds : `${kinds}, at most ${most}`;
}
