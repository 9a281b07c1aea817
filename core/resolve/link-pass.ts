import {
  actSources,
  attributeType,
  childrenOf,
  inOrder,
  isVoid,
  literal,
  NONE,
  own,
  partNameOf,
  repeatsAround,
  rootOf,
  sourcesOf,
  TEXT,
  withDescendants,
  type DocId,
  type InstanceNode,
  type NodeId,
  type Query,
  type Source,
  type TreeDoc,
  type TreeNode,
} from '../model';
import { headingLevel } from './fragments';
import { foldsIn, heardOf } from './heard';
import type {
  Linked,
  LinkedAttribute,
  LinkedNode,
  LinkedPart,
  LinkedText,
  TagBy,
  Varied,
} from './linked';
import { lookOf, partLookOf, typeOfChoice } from './look';
import { memberOf, namesIn, patchesOf, varied, type NodePatch } from './patches';
import { ReadsBuilder } from './reads';
import { typeOfText } from './semantics';

/** What a node of one kind is in its tree. */
type Stored<K extends TreeNode['kind']> = Extract<TreeNode, { kind: K }>;

/**
 * Links the tree of one document, once: nodes that are as they were keep their linked node, the others are linked
 * with what stands in them, and which definitions were placed is noted on the way.
 */
export class LinkPass {
  private readonly children;
  /** Which nodes were looked at, whether or not something came of it. */
  private readonly looked = new Set<NodeId>();
  private below: ReadonlyMap<NodeId, LinkedText['below']> | undefined;
  private folds: ReturnType<typeof foldsIn> | undefined;

  /**
   * @param nodes the linked nodes of an earlier state, brought up to date in place: only the linker holds them
   * @param stale those that may not be used again; without it, none may
   * @param definitions the definitions that are placed, added to
   * @param find the definition of a component, linked
   */
  constructor(
    private readonly doc: TreeDoc,
    private readonly nodes: Map<NodeId, LinkedNode>,
    private readonly stale: ReadonlySet<NodeId> | undefined,
    private readonly definitions: Map<DocId, Linked | undefined>,
    private readonly find: (component: DocId) => Linked | undefined,
  ) {
    this.children = childrenOf(doc.nodes);
  }

  /** The linked root, with everything below it. */
  root(): LinkedNode {
    const id = rootOf(this.doc.nodes);
    const root = this.one(id) ?? emptyRoot(id);
    // What changed where nothing shows it now, in a slot that is gone, must not come back as it was.
    for (const each of this.stale ?? []) if (!this.looked.has(each)) this.nodes.delete(each);
    return root;
  }

  private list(ids: readonly NodeId[]): LinkedNode[] {
    const made: LinkedNode[] = [];
    for (const id of ids) {
      const node = this.one(id);
      if (node) made.push(node);
    }
    return made;
  }

  private one(id: NodeId): LinkedNode | undefined {
    const before = this.stale && !this.stale.has(id) ? this.nodes.get(id) : undefined;
    if (before) return before;
    this.looked.add(id);
    const made = this.made(id, this.doc.nodes[id]!);
    if (made) this.nodes.set(id, made);
    else this.nodes.delete(id);
    return made;
  }

  private made(id: NodeId, node: TreeNode): LinkedNode | undefined {
    switch (node.kind) {
      case 'element':
        return this.element(id, node);
      case 'text':
        return this.text(id, node);
      case 'instance':
        return this.instance(id, node);
      case 'slot':
        return this.slot(id, node);
      case 'repeat':
        return this.repeat(id, node);
    }
  }

  private reads(): ReadsBuilder {
    return new ReadsBuilder(this.doc);
  }

  private element(id: NodeId, node: Stored<'element'>): LinkedNode {
    const { tag } = node;
    const patches = patchesOf(this.doc, id);
    const shown = shownOf(node.shown, patches);
    const attributes = this.attributes(node, patches);
    const children = this.list(this.children.of(id));
    const look = lookOf(this.doc, id, node, 0);
    const isPart = this.isPart(node);
    const tagBy = this.tagBy(id, node);
    const reads = this.reads().shown(shown).nodes(children).look(look).part(isPart);
    if (tagBy) reads.varied(tagBy, tagBy.type);
    for (const attribute of attributes) reads.varied(attribute, attribute.type);
    for (const { acts } of Object.values(node.whens ?? {}))
      for (const [, read] of actSources(acts)) reads.source(read, TEXT);
    return {
      kind: 'element',
      id,
      reads: reads.done(),
      tag,
      tagBy,
      isVoid: isVoid(tag),
      look,
      isPart,
      attributes,
      shown,
      whens: inOrder(node.whens ?? {}).map(([, when]) => when),
      children,
    };
  }

  /** The attributes of an element that its tag takes, those that only rules give it among them. */
  private attributes(
    node: Stored<'element'>,
    patches: readonly NodePatch[],
  ): readonly LinkedAttribute[] {
    const said = namesIn(node.attributes, patches, 'attributes').flatMap((name) => {
      const type = attributeType(node.tag, name);
      if (!type) return [];
      const given = varied(own(node.attributes, name), patches, (patch) =>
        memberOf(patch.attributes, name),
      );
      return [{ name, type, ...given }];
    });
    const heard = node.whens && heardOf(this.doc, node, (this.folds ??= foldsIn(this.doc)));
    if (!heard || said.some(({ name }) => name === heard.name)) return said;
    const source: Source = { is: 'property', property: heard.property };
    return [...said, { name: heard.name, type: TEXT, source, byRules: [] }];
  }

  private text(id: NodeId, { text, rich, shown: stored }: Stored<'text'>): LinkedNode {
    const patches = patchesOf(this.doc, id);
    const shown = shownOf(stored, patches);
    const given = varied(text, patches, (patch) => patch.text);
    const below = rich === 'blocks' ? this.headingBefore(id) : undefined;
    const reads = this.reads().shown(shown).varied(given, typeOfText(rich));
    if (below?.tagBy) reads.varied(below.tagBy, below.tagBy.type);
    return { kind: 'text', id, reads: reads.done(), text: given, rich, below, shown };
  }

  /** The heading of the document that a rich text stands below: the nearest one before it; nothing where none is. */
  private headingBefore(id: NodeId): LinkedText['below'] {
    this.below ??= this.headings();
    return this.below.get(id);
  }

  /** By rich text the heading before it: the tree is walked once, however many texts there are. */
  private headings(): ReadonlyMap<NodeId, LinkedText['below']> {
    const { nodes } = this.doc;
    const found = new Map<NodeId, LinkedText['below']>();
    let before: LinkedText['below'];
    for (const id of withDescendants(nodes, rootOf(nodes))) {
      const node = nodes[id]!;
      if (node.kind === 'element' && headingLevel(node.tag) !== undefined)
        before = { tag: node.tag, tagBy: this.tagBy(id, node) };
      else if (node.kind === 'text' && node.rich === 'blocks') found.set(id, before);
    }
    return found;
  }

  /** What gives an element another tag: what chooses it out of those its type allows, or rules. */
  private tagBy(id: NodeId, { chosen }: Stored<'element'>): TagBy | undefined {
    const asked = chosen?.tag;
    const type = asked && typeOfChoice(this.doc, asked, 'tag');
    const given = varied(type && asked, patchesOf(this.doc, id), ({ tag }) =>
      tag === undefined ? undefined : literal({ type: 'tag', value: tag }),
    );
    if (given.byRules.length === 0) return type && { ...given, type };
    const of: Record<string, true> = { ...type?.of };
    for (const { tag } of patchesOf(this.doc, id).map(({ patch }) => patch))
      if (tag !== undefined) of[tag] = true;
    return { ...given, type: { kind: 'tag', of } };
  }

  private slot(id: NodeId, { slot, shown: stored }: Stored<'slot'>): LinkedNode {
    const fallback = this.list(this.children.of(id));
    const shown = shownOf(stored, patchesOf(this.doc, id));
    return {
      kind: 'slot',
      id,
      reads: this.reads().shown(shown).slot(slot).nodes(fallback).done(),
      slot,
      shown,
      fallback,
    };
  }

  private repeat(id: NodeId, node: Stored<'repeat'>): LinkedNode {
    const items = this.list(this.children.of(id));
    const none = this.list(this.children.of(id, NONE));
    const inside = this.reads().nodes(items);
    const asksPosition = inside.asksPosition(id);
    const reads = inside.nodes(none).without(id).all();
    for (const [, source] of sourcesOf(node)) reads.source(source, TEXT);
    return {
      kind: 'repeat',
      id,
      reads: reads.done(),
      query: node.query,
      items,
      none,
      asksPosition,
      perPage: perPageOf(this.doc, id),
    };
  }

  /** Nothing where the component is gone. What fills a slot that is gone stays stored, and is not linked. */
  private instance(id: NodeId, node: InstanceNode): LinkedNode | undefined {
    const component = this.find(node.component);
    this.definitions.set(node.component, component);
    if (component?.source.kind !== 'component') return undefined;
    const patches = patchesOf(this.doc, id);
    const shown = shownOf(node.shown, patches);
    const look = lookOf(this.doc, id, node, component.height + 1);
    const parts = this.parts(id, node, component);
    const isPart = this.isPart(node);
    const reads = this.reads().shown(shown).look(look).part(isPart);
    for (const part in parts) reads.look(parts[part]!.look);
    const slots: Record<string, readonly LinkedNode[]> = {};
    for (const slot of Object.keys(component.source.slots).sort()) {
      const filled = this.list(this.children.of(id, slot));
      if (filled.length > 0) slots[slot] = filled;
      reads.nodes(filled);
    }
    const values: Record<string, Varied> = {};
    for (const { id: property, property: made } of component.properties) {
      const value = varied(own(node.values, property), patches, (patch) =>
        memberOf(patch.values, property),
      );
      if (!value.source && value.byRules.length === 0) continue;
      values[property] = value;
      reads.varied(value, made.type);
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
      isPart,
      parts,
      shown,
    };
  }

  /** Whether whoever places the definition may style a node by a name: not the root, which they style anyway. */
  private isPart(node: Stored<'element' | 'instance'>): boolean {
    return this.doc.kind === 'component' && partNameOf(node) !== undefined;
  }

  /** What an instance says of the parts that its component has now. */
  private parts(
    id: NodeId,
    { parts = {} }: InstanceNode,
    component: Linked,
  ): Readonly<Record<NodeId, LinkedPart>> {
    const found: Record<NodeId, LinkedPart> = {};
    for (const part of Object.keys(parts).sort()) {
      const height = partHeight(component, part);
      if (height === undefined) continue;
      const look = partLookOf(this.doc.id, id, part, parts[part]!);
      if (look.classes.length > 0) found[part] = { look, height };
    }
    return found;
  }
}

/** How strong what is said of a part of a definition is: one more than what that says of it; nothing for what is no part. */
function partHeight({ source, definitions }: Linked, id: NodeId): number | undefined {
  const node = own(source.nodes, id);
  if (partNameOf(node) === undefined) return undefined;
  if (node?.kind !== 'instance') return 1;
  const inner = definitions.get(node.component);
  return inner && inner.height + 2;
}

/** How many of a list stand on one page; nothing where it is not divided, as none is that stands in another. */
function perPageOf(doc: TreeDoc, id: NodeId): number | undefined {
  const node = doc.nodes[id];
  if (node?.kind !== 'repeat' || node.query.perPage === undefined) return undefined;
  return repeatsAround(doc, id).length === 0 ? node.query.perPage : undefined;
}

/** The lists of a document that are divided over several pages, as their repeats. */
export function dividedLists(doc: TreeDoc): NodeId[] {
  return Object.keys(doc.nodes)
    .sort()
    .filter((id) => perPageOf(doc, id) !== undefined);
}

/** Their queries, by repeat. */
export function dividedIn(doc: TreeDoc): Readonly<Record<NodeId, Query>> {
  return Object.fromEntries(
    dividedLists(doc).map((id) => [id, (doc.nodes[id] as Stored<'repeat'>).query]),
  );
}

/** Whether a node is shown: nothing where it always is. */
function shownOf(source: Source | undefined, patches: readonly NodePatch[]): Varied | undefined {
  const shown = varied(source, patches, (patch) => patch.shown);
  return source || shown.byRules.length > 0 ? shown : undefined;
}

/** A root whose component is gone resolves to nothing. */
function emptyRoot(id: NodeId): LinkedNode {
  return {
    kind: 'slot',
    id,
    slot: '',
    shown: undefined,
    fallback: [],
    reads: new ReadsBuilder(null).done(),
  };
}
