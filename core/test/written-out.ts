import {
  childrenOf,
  nestingFault,
  own,
  treeDocOf,
  type Documents,
  type NodeId,
  type TreeDoc,
} from '../model';
import { say, type Said } from '../said';

/** A tree with every definition written out in place, once for each tag that anything may have: slow, and plain to see. */
export class WrittenOut {
  /** The first thing in it that stands where it may not, as a sentence. */
  fault: Said | undefined;

  constructor(
    private readonly documents: Documents,
    doc: TreeDoc,
  ) {
    this.node(doc, childrenOf(doc.nodes).roots[0]!, [], () => undefined);
  }

  private node(
    doc: TreeDoc,
    id: NodeId,
    above: readonly string[],
    fill: (slot: string, above: readonly string[]) => void,
  ): void {
    const node = doc.nodes[id]!;
    const children = childrenOf(doc.nodes);
    switch (node.kind) {
      case 'element':
        for (const tag of tagsOf(doc, id)) {
          this.fault ??= nestingFault(tag, above) ?? undefined;
          for (const child of children.of(id)) this.node(doc, child, [tag, ...above], fill);
        }
        return;
      case 'repeat':
        for (const child of children.all(id)) this.node(doc, child, above, fill);
        return;
      case 'slot':
        for (const child of children.of(id)) this.node(doc, child, above, fill);
        return fill(node.slot, above);
      case 'instance': {
        const inner = treeDocOf(this.documents, node.component)!;
        return this.node(inner, childrenOf(inner.nodes).roots[0]!, above, (slot, tags) => {
          for (const child of children.of(id, slot)) this.node(doc, child, tags, fill);
        });
      }
      case 'text':
        if (node.rich === 'blocks') {
          if (above.includes('a')) this.fault ??= say('link-in-link');
          this.fault ??= nestingFault('p', above) ?? undefined;
        }
    }
  }
}

function tagsOf(doc: TreeDoc, id: NodeId): string[] {
  const node = doc.nodes[id]!;
  if (node.kind !== 'element') return [];
  const chosen = node.chosen?.tag;
  const type =
    chosen?.is === 'property' && doc.kind === 'component'
      ? own(doc.properties, chosen.property)?.type
      : undefined;
  const byRules =
    doc.kind === 'component'
      ? Object.values(doc.rules).flatMap(({ patch }) => own(patch, id)?.tag ?? [])
      : [];
  const chosenOf = type?.kind === 'tag' ? Object.keys(type.of) : [];
  return [...new Set([node.tag, ...chosenOf, ...byRules])];
}
