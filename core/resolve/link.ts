import {
  attributesOf,
  BOOLEAN,
  chainOf,
  childrenOf,
  isVoid,
  isWide,
  kindOf,
  NONE,
  own,
  RICH,
  rootOf,
  shareChildren,
  sourcesOf,
  TEXT,
  treeDifference,
  treeDocOf,
  type DocId,
  Documents,
  type InstanceNode,
  type NodeId,
  type Source,
  type TreeDifference,
  type TreeDoc,
  type TreeNode,
  type TypeSpec,
} from '../model';
import type {
  Linked,
  LinkedElement,
  LinkedInstance,
  LinkedNode,
  LinkedRepeat,
  LinkedSlot,
  LinkedText,
  Look,
  Reads,
  Varied,
} from './linked';
import { lookOf } from './look';
import { memberOf, namesIn, patchesOf, varied, type NodePatch } from './patches';

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
    const children = childrenOf(tree);
    const stale = difference && this.staleIn(doc, before.linked, difference);
    const nodes = stale ? before.nodes : new Map<NodeId, LinkedNode>();
    const definitions = new Map<DocId, Linked | undefined>();
    if (stale) this.noteDefinitions(doc, before.linked, difference, definitions);

    const list = (ids: readonly NodeId[]): LinkedNode[] => {
      const made: LinkedNode[] = [];
      for (const id of ids) {
        const node = one(id);
        if (node) made.push(node);
      }
      return made;
    };
    const looked = new Set<NodeId>();
    const one = (id: NodeId): LinkedNode | undefined => {
      const before = stale && !stale.has(id) ? nodes.get(id) : undefined;
      if (before) return before;
      looked.add(id);
      const made = this.node(doc, id, tree[id]!, children, list, definitions);
      if (made) nodes.set(id, made);
      else nodes.delete(id);
      return made;
    };

    const root = one(rootOf(tree)) ?? emptyRoot(rootOf(tree));
    // What changed where nothing shows it now, in a slot that is gone, must not come back as it was.
    for (const id of stale ?? []) if (!looked.has(id)) nodes.delete(id);
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
      types: Object.fromEntries(properties.map(({ id, property }) => [id, property.type])),
      height: root.kind === 'instance' ? root.component.height + 1 : 0,
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

  private node(
    doc: TreeDoc,
    id: NodeId,
    node: TreeNode,
    children: ReturnType<typeof childrenOf>,
    list: (ids: readonly NodeId[]) => LinkedNode[],
    definitions: Map<DocId, Linked | undefined>,
  ): LinkedNode | undefined {
    switch (node.kind) {
      case 'element': {
        const known = attributesOf(node.tag);
        const patches = patchesOf(doc, id);
        const shown = shownOf(node.shown, patches);
        const attributes = namesIn(node.attributes, patches, 'attributes')
          .filter((name) => Object.hasOwn(known, name))
          .map((name) => ({
            name,
            type: known[name]!,
            ...varied(own(node.attributes, name), patches, (patch) =>
              memberOf(patch.attributes, name),
            ),
          }));
        const inner = list(children.of(id));
        const look = lookOf(doc, id, node.style, node.shared, 0);
        const reads = new ReadsBuilder(doc).shown(shown).nodes(inner).look(look);
        for (const attribute of attributes) reads.varied(attribute, attribute.type);
        const made: LinkedElement = {
          kind: 'element',
          id,
          reads: reads.done(),
          tag: node.tag,
          isVoid: isVoid(node.tag),
          look,
          attributes,
          shown,
          children: inner,
        };
        return made;
      }
      case 'text': {
        const shown = shownOf(node.shown, patchesOf(doc, id));
        const reads = new ReadsBuilder(doc)
          .shown(shown)
          .source(node.text, node.rich ? RICH : TEXT)
          .done();
        const { text, rich } = node;
        const made: LinkedText = { kind: 'text', id, reads, text, rich, shown };
        return made;
      }
      case 'instance':
        return this.instance(doc, id, node, children, list, definitions);
      case 'slot': {
        const fallback = list(children.of(id));
        const reads = new ReadsBuilder(doc).slot(node.slot).nodes(fallback).done();
        const made: LinkedSlot = { kind: 'slot', id, reads, slot: node.slot, fallback };
        return made;
      }
      case 'repeat': {
        const items = list(children.of(id));
        const none = list(children.of(id, NONE));
        const reads = new ReadsBuilder(doc).nodes(items).nodes(none).without(id).all();
        for (const [, source] of sourcesOf(node)) reads.source(source, TEXT);
        const made: LinkedRepeat = {
          kind: 'repeat',
          id,
          reads: reads.done(),
          query: node.query,
          items,
          none,
        };
        return made;
      }
    }
  }

  private instance(
    doc: TreeDoc,
    id: NodeId,
    node: InstanceNode,
    children: ReturnType<typeof childrenOf>,
    list: (ids: readonly NodeId[]) => LinkedNode[],
    definitions: Map<DocId, Linked | undefined>,
  ): LinkedInstance | undefined {
    const component = this.find(node.component);
    definitions.set(node.component, component);
    if (component?.source.kind !== 'component') return undefined;
    const slots: Record<string, readonly LinkedNode[]> = {};
    const values: Record<string, Varied> = {};
    const look = lookOf(doc, id, node.style, node.shared, component.height + 1);
    const patches = patchesOf(doc, id);
    const shown = shownOf(node.shown, patches);
    const reads = new ReadsBuilder(doc).shown(shown).look(look);
    for (const slot of Object.keys(component.source.slots).sort()) {
      const filled = list(children.of(id, slot));
      if (filled.length > 0) slots[slot] = filled;
      reads.nodes(filled);
    }
    for (const {
      id: property,
      property: { type },
    } of component.properties) {
      const value = varied(own(node.values, property), patches, (patch) =>
        memberOf(patch.values, property),
      );
      if (!value.source && value.stead.length === 0) continue;
      values[property] = value;
      reads.varied(value, type);
    }
    if (component.readsData) reads.all();
    return {
      kind: 'instance',
      id,
      reads: reads.done(),
      component,
      values,
      slots,
      look,
      shown,
    };
  }
}

/** Whether a node is shown: nothing where it always is. */
function shownOf(source: Source | undefined, patches: readonly NodePatch[]): Varied | undefined {
  const shown = varied(source, patches, (patch) => patch.shown);
  return source || shown.stead.length > 0 ? shown : undefined;
}

/** A root whose component is gone resolves to nothing. */
function emptyRoot(id: NodeId): LinkedNode {
  return { kind: 'slot', id, slot: '', fallback: [], reads: new ReadsBuilder(null).done() };
}

/** Gathers what a node reads. */
class ReadsBuilder {
  private readonly properties = new Set<string>();
  private readonly repeats = new Set<string>();
  private readonly slots = new Set<string>();
  private page = false;
  private data = false;

  constructor(private readonly doc: TreeDoc | null) {}

  shown(shown: Varied | undefined): this {
    return shown ? this.varied(shown, BOOLEAN) : this;
  }

  varied({ source, stead }: Varied, type: TypeSpec): this {
    if (source) this.source(source, type);
    for (const each of stead) {
      this.source(each.source, type);
      for (const { property } of each.when) this.properties.add(property);
    }
    return this;
  }

  source(source: Source, type: TypeSpec): this {
    for (const each of chainOf(source)) this.one(each, type);
    return this;
  }

  /** Only what is written and read as one plain type needs no data: a field is read by its declared type. */
  private one(source: Source, type: TypeSpec): void {
    if (kindOf(type.kind).asksSite || !isWide(type)) this.data = true;
    switch (source.is) {
      case 'value':
        if (source.type !== type.kind) this.data = true;
        break;
      case 'property': {
        this.properties.add(source.property);
        const property =
          this.doc?.kind === 'component' ? own(this.doc.properties, source.property) : undefined;
        if (source.path?.length || property?.type.kind !== type.kind) this.data = true;
        break;
      }
      case 'field':
        if (source.from === 'page') this.page = true;
        else this.repeats.add(source.from.repeat);
        this.data = true;
    }
  }

  nodes(nodes: readonly LinkedNode[]): this {
    for (const { reads } of nodes) {
      for (const id of reads.properties) this.properties.add(id);
      for (const id of reads.repeats) this.repeats.add(id);
      for (const id of reads.slots) this.slots.add(id);
      this.page ||= reads.page;
      this.data ||= reads.data;
    }
    return this;
  }

  look({ classes, customs }: Look): this {
    for (const { when } of classes) for (const { property } of when) this.properties.add(property);
    for (const { source, type } of customs) this.source(source, type);
    return this;
  }

  slot(id: string): this {
    this.slots.add(id);
    return this;
  }

  /** A repeat gives the entry that what stands in it reads. */
  without(repeat: NodeId): this {
    this.repeats.delete(repeat);
    return this;
  }

  all(): this {
    this.data = true;
    return this;
  }

  done(): Reads {
    return {
      properties: [...this.properties].sort(),
      page: this.page,
      repeats: [...this.repeats].sort(),
      slots: [...this.slots].sort(),
      data: this.data,
    };
  }
}
