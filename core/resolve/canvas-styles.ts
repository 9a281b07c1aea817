import type { Linked, LinkedNode } from './linked';
import { DRAWING, noteLook, type Used } from './write';

/**
 * The styles of everything a linked document can reach, shown or not: what a canvas needs, where a
 * part that is hidden now may be shown by the next edit.
 */
export function reachableStyles(linked: Linked): Used {
  const used: Used = {
    classes: new Map(),
    tags: new Set(),
    fed: new Set(),
    words: false,
    acts: linked.acts,
  };
  const seen = new Set<Linked>();
  const visitDocument = (document: Linked) => {
    if (seen.has(document)) return;
    seen.add(document);
    visit(document.root, document.doc);
  };
  const visit = (node: LinkedNode, doc: string) => {
    switch (node.kind) {
      case 'element':
        used.tags.add(node.tag);
        for (const tag in node.tagBy?.type.of) used.tags.add(tag);
        noteLook(used, node.look, doc, node.id, 0);
        return visitAll(node.children, doc);
      case 'instance':
        noteLook(used, node.look, doc, node.id, node.component.height + 1);
        for (const { look, height } of Object.values(node.parts))
          noteLook(used, look, doc, node.id, height);
        visitDocument(node.component);
        for (const slot in node.slots) visitAll(node.slots[slot]!, doc);
        return;
      case 'slot':
        return visitAll(node.fallback, doc);
      case 'repeat':
        visitAll(node.items, doc);
        return visitAll(node.none, doc);
      case 'text':
        used.words ||= node.rich === 'line' || node.rich === 'blocks';
        if (node.rich === 'icon') used.tags.add(DRAWING);
    }
  };
  const visitAll = (nodes: readonly LinkedNode[], doc: string) => {
    for (const node of nodes) visit(node, doc);
  };
  visitDocument(linked);
  return used;
}
