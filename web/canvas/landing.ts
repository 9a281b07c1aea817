import {
  childrenOf,
  docOf,
  nodeIn,
  own,
  placeAt,
  takesText,
  treeDocOf,
  type Documents,
  type NodeId,
  type Place,
} from '@sormet/core/model';
import type { Built, Resolved, ResolvedElement } from '@sormet/core/resolve';
import { isOwn, ownerIn, resolvedOf, slotsOf } from './address';
import { onlyText } from './only-text';
import type { Registry } from './registry';

/** Where something would land: its place, and the line that shows it, in the canvas's CSS px. */
export interface Landing {
  readonly place: Place;
  readonly container: { readonly parent: NodeId; readonly slot?: string };
  readonly line: { x: number; y: number; width: number; height: number };
  readonly around: DOMRect;
}

interface Container {
  readonly parent: NodeId;
  readonly slot?: string;
  readonly rect: DOMRect;
}

/** Everything on the canvas that can take children of the open document. */
function containersOf(built: Built, registry: Registry): Container[] {
  const { doc } = built.linked;
  const found: Container[] = [];
  const visit = (node: Resolved) => {
    if (node.kind === 'text') return;
    if (node.kind === 'element' && isOwn(node, doc) && canHold(node)) {
      const rect = registry.rectOf(node);
      if (rect) found.push({ parent: node.from.id, rect });
    }
    node.children.forEach(visit);
  };
  if (built.root) visit(built.root);
  for (const { group, around } of slotsOf(built)) {
    const owner = instanceOfSlot(group, doc);
    const rect = registry.rectOf(around);
    if (owner && rect && group.from.kind === 'slot')
      found.push({ parent: owner, slot: group.from.slot, rect });
  }
  return found;
}

function canHold(node: ResolvedElement): boolean {
  return (
    !node.from.isVoid &&
    onlyText(node) === undefined &&
    (takesText(node.tag) || node.tag === 'ul' || node.tag === 'ol')
  );
}

/** The instance in the open document whose slot a group shows; nothing for slots of inner instances. */
function instanceOfSlot(group: Resolved, doc: string): NodeId | undefined {
  const { within } = group.scope;
  if (!within.parent || within.parent.doc !== doc || within.parent.parent) return undefined;
  return ownerIn(group, doc);
}

/** Where something dropped at a point of the canvas would land: in the smallest place around the point. */
export function landingAt(
  documents: Documents,
  built: Built,
  registry: Registry,
  x: number,
  y: number,
  moving?: NodeId,
): Landing | undefined {
  const { doc } = built.linked;
  const tree = treeDocOf(documents, doc)?.nodes;
  if (!tree) return undefined;
  const inside = (rect: DOMRect) =>
    x >= rect.left && x <= rect.right && y >= rect.top && y <= rect.bottom;
  const isMoving = (id: NodeId): boolean => {
    for (let at: NodeId | null = id; at; at = tree[at]?.place.parent ?? null)
      if (at === moving) return true;
    return false;
  };
  const all = containersOf(built, registry).filter(({ parent }) => !isMoving(parent));
  const area = ({ rect }: Container) => rect.width * rect.height;
  const around = all.filter(({ rect }) => inside(rect)).sort((a, b) => area(a) - area(b));
  // Outside of everything: the nearest slot or container by height.
  const container =
    around[0] ??
    all.sort((a, b) => distance(a.rect, y) - distance(b.rect, y) || area(b) - area(a))[0];
  if (!container) return undefined;
  const { parent, slot, rect } = container;
  const children = childrenOf(tree).of(parent, slot);
  const rects = children.map((child) =>
    resolvedOf(built, child)
      .map((node) => registry.rectOf(node))
      .find(Boolean),
  );
  const shown = rects.filter((r): r is DOMRect => r !== undefined);
  const layout = slot === undefined ? undefined : layoutOf(documents, doc, parent, slot);
  const sideways =
    layout === undefined
      ? shown.length > 1 && shown[0]!.right <= shown[1]!.left + 1
      : layout !== 'column';
  let index = 0;
  rects.forEach((r, i) => {
    if (r && (sideways ? x > r.left + r.width / 2 : y > r.top + r.height / 2)) index = i + 1;
  });
  const before = rects[index - 1];
  const after = rects[index];
  const line = sideways
    ? { x: after?.left ?? before?.right ?? rect.left, y: rect.top, width: 0, height: rect.height }
    : {
        x: rect.left,
        y: after?.top ?? before?.bottom ?? rect.top + 4,
        width: rect.width,
        height: 0,
      };
  return {
    place: placeAt(tree, parent, index, slot),
    container: slot === undefined ? { parent } : { parent, slot },
    line,
    around: rect,
  };
}

/** Which way a slot says that it lays out what comes in. */
function layoutOf(documents: Documents, doc: string, instance: NodeId, slot: string) {
  const node = nodeIn(documents, doc, instance);
  const component =
    node?.kind === 'instance' ? docOf(documents, 'component', node.component) : undefined;
  return component && own(component.slots, slot)?.layout;
}

function distance(rect: DOMRect, y: number): number {
  return y < rect.top ? rect.top - y : y > rect.bottom ? y - rect.bottom : 0;
}
