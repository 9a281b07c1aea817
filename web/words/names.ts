import { docOf, entryTitle, own, type Documents, type TreeDoc } from '@sormet/core/model';
import { nodeName, shortName } from '@sormet/core/edit';

/** How many names are said before the rest is counted. */
const MOST_NAMES = 4;

/** How a document is named: a page by its path, an entry by its title, others by their names or what they are. */
export function documentWords(documents: Documents, id: string): string {
  const doc = documents.get(id);
  switch (doc?.kind) {
    case 'page':
      return doc.path;
    case 'component':
      return shortName(doc.name);
    case 'entry':
      return entryTitle(documents, doc);
    case 'type':
      return doc.plural;
    case 'style':
    case 'asset':
      return doc.name;
    case 'site':
      return 'the settings';
    case 'tokens':
      return 'the tokens';
    case 'tags':
      return 'the tag styles';
    case undefined:
      return 'something that is gone';
  }
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
