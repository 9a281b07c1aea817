import { allOf, repeatsAround, treeDocOf, type DocId, type Documents, type NodeId } from '../model';
import { isEntry, positionIn, runQuery, type Data, type Item } from '../value';
import type { Linker } from './link';
import { linkedNode } from './scope-at';
import { instanceScope, itemScope, rootScope, type Scope } from './scope';

/** Where something stands of a page as a visitor comes to it, or of a definition that nothing places. */
export interface Somewhere {
  readonly scope: Scope;
  /** The document that is opened to come there. */
  readonly opened: DocId;
  /** The entry that its page is made for. */
  readonly entry: string | undefined;
  /** The node of that document through which one comes there: an instance, where it is inside one. */
  readonly through: NodeId | null;
  /** The innermost item of a repeat around it that is an entry. */
  readonly item: string | undefined;
}

/** What is asked to find every place. */
export interface Site {
  readonly documents: Documents;
  readonly data: Data;
  readonly linker: Linker;
  /** The instances of a component, each with the document in which it stands. */
  readonly placesOf: (
    component: DocId,
  ) => readonly { readonly doc: DocId; readonly node: NodeId }[];
}

/**
 * All that names mean at a node, at every place where that shows: for each entry of its page, each item of the repeats
 * around, and, in a definition, inside each of its instances. What is hidden counts, too.
 * @param node nothing for what a document says of itself
 */
export function* everywhere(site: Site, doc: DocId, node: NodeId | null): Generator<Somewhere> {
  const tree = treeDocOf(site.documents, doc);
  if (!tree) return;
  const repeats = node === null ? [] : [...repeatsAround(tree, node)].reverse();
  for (const opened of openings(site, doc))
    for (const at of within(site, doc, opened, repeats))
      // Who comes from further out is told by the outermost.
      yield at.opened === doc && node !== null ? { ...at, through: node } : at;
}

/** The scopes in which the tree of a document is written. */
function* openings(site: Site, doc: DocId): Generator<Somewhere> {
  const { documents, data, linker } = site;
  const tree = treeDocOf(documents, doc)!;
  const alone = (entry?: Parameters<typeof rootScope>[2] & { id: string }): Somewhere => ({
    scope: rootScope(linker.link(documents, doc), data, entry),
    opened: doc,
    entry: entry?.id,
    through: null,
    item: undefined,
  });
  if (tree.kind === 'page') {
    if (tree.entries === null) yield alone();
    else
      for (const entry of allOf(documents, 'entry'))
        if (entry.type === tree.entries) yield alone(entry);
    return;
  }
  const places = site.placesOf(doc);
  if (places.length === 0) yield alone();
  for (const place of places) {
    const instance = linkedNode(linker.link(documents, place.doc), place.node);
    if (instance?.kind !== 'instance') continue;
    for (const around of everywhere(site, place.doc, place.node))
      yield { ...around, scope: instanceScope(instance, around.scope) };
  }
}

/** Inside each round of the repeats of a document, the outermost first. */
function* within(
  site: Site,
  doc: DocId,
  at: Somewhere,
  [repeat, ...inner]: readonly NodeId[],
): Generator<Somewhere> {
  if (repeat === undefined) return void (yield at);
  const linked = linkedNode(site.linker.link(site.documents, doc), repeat);
  if (linked?.kind !== 'repeat') return;
  const items = runQuery(linked.query, at.scope) as readonly Item[];
  for (const [i, item] of items.entries()) {
    const scope = itemScope(linked, item, positionIn(items, i), at.scope);
    yield* within(site, doc, { ...at, scope, item: isEntry(item) ? item.id : at.item }, inner);
  }
}
