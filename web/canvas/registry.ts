import type { Resolved, ResolvedElement, ResolvedGroup } from '@sormet/core/resolve';

/** Which element of the canvas shows which resolved element, both ways. */
export class Registry {
  private readonly byElement = new WeakMap<Element, ResolvedElement>();
  private readonly byResolved = new WeakMap<Resolved, HTMLElement>();
  private readonly places = new WeakMap<Element, ResolvedGroup>();

  set(element: HTMLElement, node: ResolvedElement): void {
    this.byElement.set(element, node);
    this.byResolved.set(node, element);
  }

  /** An element that stands in the place of an empty slot. */
  setPlace(element: HTMLElement, slot: ResolvedGroup): void {
    this.places.set(element, slot);
    this.byResolved.set(slot, element);
  }

  /** The empty slot whose place an element is. */
  slotAt(element: Element | null): ResolvedGroup | undefined {
    return element ? this.places.get(element) : undefined;
  }

  /** The resolved element that an element shows, or the nearest above it that shows one. */
  at(element: Element | null): ResolvedElement | undefined {
    for (let at = element; at; at = at.parentElement) {
      const node = this.byElement.get(at);
      if (node) return node;
    }
    return undefined;
  }

  of(element: Element): ResolvedElement | undefined {
    return this.byElement.get(element);
  }

  /** The outermost elements that show a resolved node: one for an element, any number for a group. */
  elementsOf(node: Resolved): HTMLElement[] {
    if (node.kind === 'text') return [];
    if (node.kind === 'group' && node.children.length > 0)
      return node.children.flatMap((child) => this.elementsOf(child));
    const element = this.byResolved.get(node);
    return element?.isConnected ? [element] : [];
  }

  /** The area of a resolved node in the canvas, in its CSS px; nothing when it shows nothing. */
  rectOf(node: Resolved): DOMRect | undefined {
    const rects = this.elementsOf(node).map((element) => element.getBoundingClientRect());
    if (rects.length === 0) return undefined;
    const left = Math.min(...rects.map((r) => r.left));
    const top = Math.min(...rects.map((r) => r.top));
    return new DOMRect(
      left,
      top,
      Math.max(...rects.map((r) => r.right)) - left,
      Math.max(...rects.map((r) => r.bottom)) - top,
    );
  }
}
