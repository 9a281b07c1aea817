import {
  chainOf,
  isMade,
  own,
  shareChildren,
  treeDifference,
  treeDocOf,
  Documents,
  type DocId,
  type NodeId,
  type TreeDifference,
  type TreeDoc,
  type TreeNode,
} from '../model';
import { foldsIn } from './heard';
import { countedIn } from './counted';
import { dividedIn, LinkPass } from './link-pass';
import { doesSomething, targetsIn } from './targets';
import type { Linked, LinkedNode } from './linked';

/**
 * Links documents to their definitions, keeping what it linked before: a document is linked again only
 * when it or a definition in it changed, and then every node that is the same keeps its linked node.
 */
export class Linker {
  private readonly kept = new Map<DocId, { linked: Linked; nodes: Map<NodeId, LinkedNode> }>();
  private documents = Documents.none;
  private pass = new Map<DocId, Linked>();
  private readonly open = new Set<DocId>();

  /** @throws when the document holds no tree or is not there, or a component contains itself. */
  link(documents: Documents, doc: DocId): Linked {
    if (documents !== this.documents) {
      this.documents = documents;
      this.pass = new Map();
    }
    const linked = this.find(doc);
    if (!linked) throw new Error(`There is no page or component ${doc} to link.`);
    return linked;
  }

  private find(id: DocId): Linked | undefined {
    const done = this.pass.get(id);
    if (done) return done;
    const doc = treeDocOf(this.documents, id);
    if (!doc) return undefined;
    if (this.open.has(id)) throw new Error(`The component ${id} contains itself.`);
    this.open.add(id);
    try {
      const linked = this.again(doc) ?? this.anew(doc);
      this.pass.set(id, linked);
      return linked;
    } catch (error) {
      // The nodes of a pass that was not ended belong to no state: nobody may rely on them.
      this.kept.delete(id);
      throw error;
    } finally {
      this.open.delete(id);
    }
  }

  /** What was linked before, when neither the document nor a definition in it changed. */
  private again(doc: TreeDoc): Linked | undefined {
    const linked = this.kept.get(doc.id)?.linked;
    if (linked?.source !== doc) return undefined;
    for (const [id, definition] of linked.definitions)
      if (this.find(id) !== definition) return undefined;
    return linked;
  }

  private anew(doc: TreeDoc): Linked {
    const before = this.kept.get(doc.id);
    const tree = doc.nodes;
    const difference = before && treeDifference(before.linked.source.nodes, tree);
    if (difference) shareChildren(before.linked.source.nodes, tree, difference);
    const stale = difference && this.staleIn(doc, before.linked, difference);
    const nodes = stale ? before.nodes : new Map<NodeId, LinkedNode>();
    const definitions = new Map<DocId, Linked | undefined>();
    if (stale) this.noteDefinitions(doc, before.linked, difference, definitions);

    const root = new LinkPass(doc, nodes, stale, definitions, (id) => this.find(id)).root();
    const properties =
      doc.kind === 'component'
        ? Object.keys(doc.properties)
            .sort()
            .map((id) => ({ id, property: doc.properties[id]! }))
        : [];
    const linked: Linked = {
      doc: doc.id,
      root,
      properties,
      workedOut: inOrderOfReading(properties),
      types: Object.fromEntries(properties.map(({ id, property }) => [id, property.type])),
      divided: dividedIn(doc),
      counted: countedIn(doc),
      height: root.kind === 'instance' ? root.component.height + 1 : 0,
      targets: targetsIn(doc),
      acts:
        doesSomething(doc) ||
        properties.some(({ property }) => property.state !== undefined) ||
        [...definitions.values()].some((each) => each?.acts),
      readsData: root.reads.data,
      source: doc,
      definitions,
    };
    this.kept.set(doc.id, { linked, nodes });
    return linked;
  }

  /**
   * The nodes that must be linked again: those that changed, instances whose definition did, and
   * everything around them. Nothing when all must, because properties or rules changed, which any node may read.
   */
  private staleIn(
    doc: TreeDoc,
    { source, definitions }: Linked,
    { changed, removed }: TreeDifference,
  ): Set<NodeId> | undefined {
    if (
      doc.kind === 'component' &&
      (source.kind !== 'component' ||
        source.properties !== doc.properties ||
        source.rules !== doc.rules)
    )
      return undefined;
    const tree = doc.nodes;
    if (movesHeadings(source.nodes, tree, { changed, removed })) return undefined;
    if (folding(source) !== folding(doc)) return undefined;
    const stale = new Set<NodeId>();
    const mark = (id: NodeId | null) => {
      for (let at = id; at !== null && own(tree, at) && !stale.has(at); at = tree[at]!.place.parent)
        stale.add(at);
    };
    for (const id of changed) {
      mark(id);
      // Where it stood before has one child less.
      const old = own(source.nodes, id);
      if (old && old.place !== tree[id]!.place) mark(old.place.parent);
    }
    for (const id of removed) mark(source.nodes[id]!.place.parent);
    const others = [...definitions].filter(([id, definition]) => this.find(id) !== definition);
    if (others.length > 0) {
      const ids = new Set(others.map(([id]) => id));
      for (const id of Object.keys(tree)) {
        const node = tree[id]!;
        if (node.kind === 'instance' && ids.has(node.component)) mark(id);
      }
    }
    return stale;
  }

  /** The definitions a tree places: those of before, unless an instance came, went or became another. */
  private noteDefinitions(
    doc: TreeDoc,
    { source, definitions: before }: Linked,
    { changed, removed }: TreeDifference,
    definitions: Map<DocId, Linked | undefined>,
  ): void {
    const componentOf = (node: TreeNode | undefined) =>
      node?.kind === 'instance' ? node.component : undefined;
    const same =
      removed.every((id) => source.nodes[id]!.kind !== 'instance') &&
      changed.every((id) => componentOf(own(source.nodes, id)) === componentOf(doc.nodes[id]));
    const ids = same ? before.keys() : Object.values(doc.nodes).map(componentOf);
    for (const id of ids) if (id !== undefined) definitions.set(id, this.find(id));
  }
}

/** By which states something is shown, as one text: what changes them is heard as what unfolds it. */
function folding(doc: TreeDoc): string {
  return [...foldsIn(doc)].sort().join();
}

/** Whether a change may move headings before or behind rich text, or make them others: that counts its own from theirs. */
function movesHeadings(
  before: TreeDoc['nodes'],
  tree: TreeDoc['nodes'],
  { changed, removed }: TreeDifference,
): boolean {
  const isMoved = (id: NodeId) => {
    const [old, now] = [own(before, id), tree[id]!];
    if (!old || old.place !== now.place) return true;
    if (old.kind !== 'element' || now.kind !== 'element') return old.kind !== now.kind;
    return old.tag !== now.tag || old.chosen !== now.chosen;
  };
  if (removed.length === 0 && !changed.some(isMoved)) return false;
  return Object.values(tree).some((node) => node.kind === 'text' && node.rich === 'blocks');
}

/** The properties that are worked out from others, each after those that it reads. None reads itself, however indirectly. */
function inOrderOfReading(properties: Linked['properties']): Linked['properties'] {
  const left = new Map(
    properties.filter(({ property }) => isMade(property.default)).map((each) => [each.id, each]),
  );
  const found: Linked['properties'][number][] = [];
  const add = (id: string): void => {
    const each = left.get(id);
    if (!each) return;
    left.delete(id);
    for (const read of chainOf(each.property.default))
      if (read.is === 'property') add(read.property);
    found.push(each);
  };
  for (const id of [...left.keys()]) add(id);
  return found;
}
