import {
  allOf,
  childrenOf,
  DEEPEST_PAGE,
  LARGEST_PAGE,
  LONGEST_WAY,
  nestingFault,
  own,
  pointer,
  treeDocOf,
  type ComponentDoc,
  type Documents,
  type ElementNode,
  type NodeId,
  type TextNode,
  type TreeDoc,
} from '../../model';
import { typeOfChoice } from '../../resolve';
import { documentWord } from '../names';
import type { DocumentFinding } from './soundness';

/** Which element would stand where it may not, in the touched trees and in all that hold them. */
export function nestingFindings(documents: Documents, ids: readonly string[]): DocumentFinding[] {
  const loop = containmentLoop(documents, ids);
  if (loop) return [loop];
  return [...holdersOf(documents, ids)].flatMap((id) => {
    const doc = treeDocOf(documents, id);
    return doc ? new NestingCheck(documents, doc).findings : [];
  });
}

const placed = new WeakMap<TreeDoc['nodes'], readonly string[]>();

/** The components that a tree places, each once; worked out once for each tree. */
function componentsIn({ nodes }: TreeDoc): readonly string[] {
  let list = placed.get(nodes);
  if (!list) {
    const found = new Set<string>();
    for (const id in nodes) {
      const node = nodes[id]!;
      if (node.kind === 'instance') found.add(node.component);
    }
    placed.set(nodes, (list = [...found]));
  }
  return list;
}

/** The tree documents that are these or hold them, however deep. */
function holdersOf(documents: Documents, ids: readonly string[]): Set<string> {
  const by = new Map<string, string[]>();
  for (const doc of [...allOf(documents, 'component'), ...allOf(documents, 'page')])
    for (const component of componentsIn(doc)) {
      const list = by.get(component);
      if (list) list.push(doc.id);
      else by.set(component, [doc.id]);
    }
  const holders = new Set(ids);
  for (const id of holders) for (const holder of by.get(id) ?? []) holders.add(holder);
  return holders;
}

/** The first way in which a touched component contains itself, named step by step. */
function containmentLoop(
  documents: Documents,
  ids: readonly string[],
): DocumentFinding | undefined {
  for (const start of ids) {
    const doc = treeDocOf(documents, start);
    if (doc?.kind !== 'component') continue;
    // Each component that was reached, with the one it was reached from; without recursion, since chains may be long.
    const from = new Map<string, string>();
    const open = [start];
    for (let at = open.pop(); at !== undefined; at = open.pop()) {
      const component = treeDocOf(documents, at);
      for (const inner of component ? componentsIn(component) : []) {
        if (inner === start) return loopFinding(documents, start, at, from);
        if (from.has(inner)) continue;
        from.set(inner, at);
        open.push(inner);
      }
    }
  }
  return undefined;
}

function loopFinding(
  documents: Documents,
  start: string,
  last: string,
  from: ReadonlyMap<string, string>,
): DocumentFinding {
  const way = [start];
  for (let at: string | undefined = last; at !== undefined && at !== start; at = from.get(at))
    way.splice(1, 0, at);
  const names = [...way, start].map((id) => treeDocOf(documents, id)?.name ?? id);
  return {
    doc: start,
    path: '/nodes',
    reason: `the component would contain itself: ${names.join(' in ')}`,
  };
}

/** Ends a walk that has found enough: a page too large to be walked to its end. */
class Enough extends Error {}

/** Walks a tree with every definition written out in place. */
class NestingCheck {
  readonly findings: DocumentFinding[] = [];
  private count = 0;

  constructor(
    private readonly documents: Documents,
    doc: TreeDoc,
  ) {
    const [root] = childrenOf(doc.nodes).roots;
    if (root === undefined) return;
    try {
      this.node(doc, root, [], 1, { doc: doc.id, node: '' }, () => undefined);
    } catch (error) {
      if (!(error instanceof Enough)) throw error;
    }
  }

  private enough(at: { doc: string; node: NodeId }, reason: string): never {
    this.findings.push({ doc: at.doc, path: pointer('nodes', at.node), reason });
    throw new Enough();
  }

  private node(
    doc: TreeDoc,
    id: NodeId,
    above: readonly string[],
    way: number,
    at: { doc: string; node: NodeId },
    fill: (slot: string, above: readonly string[], way: number) => void,
  ): void {
    const node = doc.nodes[id]!;
    const children = childrenOf(doc.nodes);
    const here = at.node === '' ? { doc: doc.id, node: id } : at;
    this.count += 1;
    if (this.count > LARGEST_PAGE)
      this.enough(
        here,
        `with every definition written out this would be more than ${LARGEST_PAGE} parts`,
      );
    if (above.length >= DEEPEST_PAGE || way > LONGEST_WAY)
      this.enough(
        here,
        `would stand deeper than ${DEEPEST_PAGE} elements in each other, more than browsers keep`,
      );
    const each = (ids: readonly NodeId[], tags: readonly string[]) => {
      for (const child of ids) this.node(doc, child, tags, way + 1, at, fill);
    };
    switch (node.kind) {
      case 'element': {
        for (const tag of tagsOf(doc, node)) {
          const fault = nestingFault(tag, above);
          if (fault)
            this.findings.push({ doc: here.doc, path: pointer('nodes', here.node), reason: fault });
          each(children.of(id), [tag, ...above]);
        }
        return;
      }
      case 'repeat':
        return each(children.all(id), above);
      case 'slot':
        each(children.of(id), above);
        return fill(node.slot, above, way + 1);
      case 'instance': {
        const component = treeDocOf(this.documents, node.component);
        const root = component && childrenOf(component.nodes).roots[0];
        if (!component || root === undefined) return;
        if (component.kind === 'component') this.slotFindings(doc, id, component, here);
        this.node(component, root, above, way + 1, here, (slot, tags, inner) => {
          if (component.kind !== 'component' || !own(component.slots, slot)) return;
          for (const child of children.of(id, slot))
            this.node(doc, child, tags, inner + 1, at, fill);
        });
        return;
      }
      case 'text': {
        const fault = node.rich && richFault(node.rich, above);
        if (fault)
          this.findings.push({ doc: here.doc, path: pointer('nodes', here.node), reason: fault });
      }
    }
  }

  /** What an instance puts into slots that do not let it in. */
  private slotFindings(
    doc: TreeDoc,
    id: NodeId,
    component: ComponentDoc,
    { doc: at, node }: { doc: string; node: NodeId },
  ): void {
    for (const slot in component.slots) {
      const { label, allows, most } = component.slots[slot]!;
      const filled = childrenOf(doc.nodes).of(id, slot);
      if (most !== undefined && filled.length > most)
        this.findings.push({
          doc: at,
          path: pointer('nodes', node),
          reason: `the slot “${label}” holds ${most} at most`,
        });
      const other = filled.find((child) => {
        const inner = doc.nodes[child]!;
        return allows && !(inner.kind === 'instance' && Object.hasOwn(allows, inner.component));
      });
      if (other === undefined) continue;
      const names = Object.keys(allows!).map((each) => documentWord(this.documents.get(each)));
      this.findings.push({
        doc: at,
        path: pointer('nodes', node === id ? other : node),
        reason: `the slot “${label}” takes only ${names.join(', ') || 'nothing'}`,
      });
    }
  }
}

/** The tags that an element may come to have: its own, and those that may be chosen for it. */
function tagsOf(doc: TreeDoc, { tag, chosen }: ElementNode): string[] {
  const type = chosen?.tag && typeOfChoice(doc, chosen.tag, 'tag');
  return type ? [...new Set([tag, ...Object.keys(type.of)])] : [tag];
}

/** Why rich text may not stand somewhere: it may hold links, and blocks where it is said to. */
function richFault(rich: NonNullable<TextNode['rich']>, above: readonly string[]): string | null {
  if (rich === 'icon') return null;
  if (above.includes('a')) return 'rich text may hold links, and a link cannot stand in a link';
  return rich === 'blocks' ? nestingFault('p', above) : null;
}
