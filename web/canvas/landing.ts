import {
  ancestorsOf,
  childrenOf,
  takesText,
  treeDocOf,
  type Documents,
  type NodeId,
  type Tree,
} from '@sormet/core/model';
import type { Built, Resolved, ResolvedElement } from '@sormet/core/resolve';
import type { LandingPlace } from '../store/bench-slice';
import { isOwn, resolvedOf, slotOwner, slotsOf } from './address';
import { onlyText } from './only-text';
import type { Registry } from './registry';

/** Where something would land: its place, and the line that shows it, in the canvas's CSS px. */
export interface Landing {
  readonly at: LandingPlace;
  readonly line: { x: number; y: number; width: number; height: number };
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
    const owner = slotOwner(group, doc);
    const empty = group.children.length === 0 ? registry.rectOf(group) : undefined;
    const rect = empty ?? registry.rectOf(around);
    if (!owner || !rect) continue;
    found.push({ parent: owner.node, ...(owner.slot ? { slot: owner.slot } : {}), rect });
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

/**
 * Where something dropped at a point of the canvas would land: in the smallest place around the point.
 * @param moving what is moved: nothing lands in itself
 */
export function landingAt(
  documents: Documents,
  built: Built,
  registry: Registry,
  x: number,
  y: number,
  moving: readonly NodeId[] = [],
): Landing | undefined {
  const { doc } = built.linked;
  const tree = treeDocOf(documents, doc)?.nodes;
  if (!tree) return undefined;
  const inside = (rect: DOMRect) =>
    x >= rect.left && x <= rect.right && y >= rect.top && y <= rect.bottom;
  const isMoving = (id: NodeId) =>
    [id, ...ancestorsOf(tree, id)].some((each) => moving.includes(each));
  const all = containersOf(built, registry).filter(({ parent }) => !isMoving(parent));
  const area = ({ rect }: Container) => rect.width * rect.height;
  const around = all.filter(({ rect }) => inside(rect)).sort((a, b) => area(a) - area(b));
  // Outside of everything: the nearest slot or container by height.
  const container =
    around[0] ??
    all.sort((a, b) => distance(a.rect, y) - distance(b.rect, y) || area(b) - area(a))[0];
  if (!container) return undefined;
  const { parent, slot, rect } = container;
  const children = childrenIn(documents, built, registry, tree, parent, slot);
  let index = 0;
  children.rects.forEach((r, i) => {
    if (!r) return;
    const behind = children.sideways ? x > r.left + r.width / 2 : y > r.top + r.height / 2;
    if (behind) index = i + 1;
  });
  return landingIn(children, rect, { doc, parent, ...(slot ? { slot } : {}), index });
}

/** The line where something lands, for a landing that was found elsewhere: in the outline. */
export function landingOf(
  documents: Documents,
  built: Built,
  registry: Registry,
  at: LandingPlace,
): Landing | undefined {
  const tree = treeDocOf(documents, at.doc)?.nodes;
  const container = containersOf(built, registry).find(
    ({ parent, slot }) => parent === at.parent && slot === at.slot,
  );
  if (!tree || !container) return undefined;
  const children = childrenIn(documents, built, registry, tree, at.parent, at.slot);
  return landingIn(children, container.rect, at);
}

/** Where the children of a place show, and whether they stand beside each other. */
interface ChildrenShown {
  readonly rects: readonly (DOMRect | undefined)[];
  readonly sideways: boolean;
}

function childrenIn(
  documents: Documents,
  built: Built,
  registry: Registry,
  tree: Tree,
  parent: NodeId,
  slot: string | undefined,
): ChildrenShown {
  const rects = childrenOf(tree)
    .of(parent, slot)
    .map((child) =>
      resolvedOf(built, child)
        .map((node) => registry.rectOf(node))
        .find(Boolean),
    );
  const shown = rects.filter((r): r is DOMRect => r !== undefined);
  const sideways =
    shown.length > 1
      ? shown[0]!.right <= shown[1]!.left + 1
      : childrenOf(tree)
          .of(parent, slot)
          .some((child) =>
            resolvedOf(built, child).some((node) =>
              registry.elementsOf(node).some((element) => liesSideways(element)),
            ),
          );
  return { rects, sideways };
}

function landingIn({ rects, sideways }: ChildrenShown, rect: DOMRect, at: LandingPlace): Landing {
  const before = rects[at.index - 1];
  const after = rects[at.index];
  const line = sideways
    ? { x: after?.left ?? before?.right ?? rect.left, y: rect.top, width: 0, height: rect.height }
    : {
        x: rect.left,
        y: after?.top ?? before?.bottom ?? rect.top + 4,
        width: rect.width,
        height: 0,
      };
  return { at, line };
}

/** Whether what comes beside an element would stand at its side: as the style of what is around it says. */
function liesSideways(element: Element): boolean {
  const around = element.parentElement;
  const style = around && element.ownerDocument.defaultView?.getComputedStyle(around);
  if (!style) return false;
  if (style.display.endsWith('flex')) return style.flexDirection.startsWith('row');
  return style.display.endsWith('grid') && style.gridTemplateColumns.split(' ').length > 1;
}

function distance(rect: DOMRect, y: number): number {
  return y < rect.top ? rect.top - y : y > rect.bottom ? y - rect.bottom : 0;
}
