import type { Built, Resolved, ResolvedElement, ResolvedGroup } from '@sormet/core/resolve';

/** Which element of the canvas shows which resolved element, both ways. */
export class Registry {
  private readonly byElement = new WeakMap<Element, ResolvedElement>();
  private readonly byResolved = new WeakMap<Resolved, HTMLElement>();
  private readonly places = new WeakMap<Element, ResolvedGroup>();
  /** Elements whose area was asked for, with that. */
  private readonly asked = new Map<Element, DOMRect>();
  /** Whether an area was asked for that is not there. */
  private lacks = false;
  private drawn: Built | undefined;
  /** Areas that whoever draws over it wants to know again, by what they are of. */
  private readonly noted = new Map<string, readonly (DOMRect | undefined)[]>();

  /** Says what is drawn: of a newer tree there are no elements yet. */
  setDrawn(built: Built | undefined): void {
    this.drawn = built;
  }

  isDrawn(built: Built | undefined): boolean {
    return this.drawn === built;
  }

  /** Keeps some areas; `undefined` forgets them. */
  note(of: string, areas: readonly (DOMRect | undefined)[] | undefined): void {
    if (areas) this.noted.set(of, areas);
    else this.noted.delete(of);
  }

  /** The areas that were kept last. */
  notedOf(of: string): readonly (DOMRect | undefined)[] {
    return this.noted.get(of) ?? [];
  }

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

  /** The area of an element in the canvas, in its CSS px. */
  areaOf(element: Element): DOMRect {
    const rect = element.getBoundingClientRect();
    this.asked.set(element, rect);
    return rect;
  }

  /** The area of a resolved node in the canvas, in its CSS px; nothing when it shows nothing. */
  rectOf(node: Resolved): DOMRect | undefined {
    const rects = this.elementsOf(node).map((element) => this.areaOf(element));
    if (rects.length === 0) {
      this.lacks = true;
      return undefined;
    }
    const left = Math.min(...rects.map((r) => r.left));
    const top = Math.min(...rects.map((r) => r.top));
    return new DOMRect(
      left,
      top,
      Math.max(...rects.map((r) => r.right)) - left,
      Math.max(...rects.map((r) => r.bottom)) - top,
    );
  }

  /**
   * Whether something that was asked for stands elsewhere now, or may be there at last. Then everything is forgotten:
   * whoever draws over it asks again.
   */
  hasMoved(): boolean {
    const moved =
      this.lacks ||
      [...this.asked].some(
        ([element, was]) => !element.isConnected || !isSame(element.getBoundingClientRect(), was),
      );
    if (moved) {
      this.asked.clear();
      this.lacks = false;
    }
    return moved;
  }
}

function isSame(a: DOMRect, b: DOMRect): boolean {
  return a.left === b.left && a.top === b.top && a.width === b.width && a.height === b.height;
}
