import { docOf, own, treeDocOf, type Documents, type TreeDoc } from '@sormet/core/model';
import { nodeName, shortName } from '@sormet/core/edit';

/** How many names are said before the rest is counted. */
const MOST_NAMES = 4;

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
