import type { Built, Resolved, Varied } from '@sormet/core/resolve';
import { elementOf } from './address';
import type { Registry } from './registry';

/** The areas of the elements of a definition that hold something exposed. */
export function exposedAreas(built: Built, registry: Registry): DOMRect[] {
  const rects: DOMRect[] = [];
  const visit = (node: Resolved) => {
    if (node.kind === 'text') return;
    if (node.scope.within.doc === built.linked.doc && holdsExposed(node)) {
      const element = elementOf(node);
      const rect = element && registry.rectOf(element);
      if (rect) rects.push(rect);
    }
    node.children.forEach(visit);
  };
  if (built.root) visit(built.root);
  return rects;
}

function holdsExposed({ from }: Resolved): boolean {
  if (from.kind === 'instance') return Object.values(from.values).some(isHandedIn);
  return (
    from.kind === 'element' &&
    (from.attributes.some(isHandedIn) ||
      isHandedIn(from.shown) ||
      from.children.some((child) => child.kind === 'text' && isHandedIn(child.text)))
  );
}

/** Whether a property of the definition gives a value. */
function isHandedIn(varied: Varied | undefined): boolean {
  return varied?.source?.is === 'property';
}
