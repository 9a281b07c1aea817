import {
  aroundFault,
  asksAround,
  childrenOf,
  FORBIDDEN_AROUND,
  LARGEST_PAGE,
  own,
  parentFault,
  treeDocOf,
  type Documents,
  type ElementNode,
  type NodeId,
  type TextNode,
  type TreeDoc,
} from '../../model';
import { patchesOf, typeOfChoice } from '../../resolve';
import { sameSaid, say, type Said } from '../../said';

/**
 * What of a tree matters to whatever holds it, worked out once for each state of the tree and of what it places: two
 * that are the same here can stand in each other's place wherever one of them does. So an edit of a definition is
 * checked where that stands only when something of this became another.
 */
export interface TreeOutline {
  /** The tags that its outermost element may have. */
  readonly roots: readonly string[];
  /** By a tag that may be around it, what in it may not stand in one, where there is such. */
  readonly forbids: ReadonlyMap<string, Inner>;
  /** What stands straight in its outermost element and asks what that stands in (see `asksAround`). */
  readonly asks: readonly string[];
  /** By slot, the places where what fills it comes to stand. */
  readonly places: ReadonlyMap<string, readonly SlotPlace[]>;
  /** With every definition written out, what fills its slots apart: how many nodes, how deep, how long the longest way. */
  readonly size: number;
  readonly depth: number;
  readonly way: number;
  /** What stands in it where it may not, wherever it is placed: the node, and why. */
  readonly faults: readonly NestingFault[];
  /** Equal for outlines that mean the same to whatever holds them. */
  readonly key: string;
}

/** An element that may not stand where it does. */
export interface NestingFault {
  readonly node: NodeId;
  readonly reason: Said;
}

/** Something in a tree that may not stand in something else: an element of a tag, or rich text. */
type Inner = { readonly tag: string } | { readonly rich: NonNullable<TextNode['rich']> };

/** Where, seen from outside of a tree, what fills a slot of it stands: in which element, in which other that, in what further out. */
interface SlotPlace {
  readonly parents: readonly string[];
  /** Nothing where the parent is the outermost element: what is around that is not known here. */
  readonly around: readonly string[] | undefined;
  readonly within: ReadonlySet<string>;
  readonly depth: number;
  readonly way: number;
}

/** Where a node stands while a tree is walked. */
interface Here {
  /** The tags that its parent may have, and the element around that: nothing for what is outside of the tree. */
  readonly parents: readonly string[] | undefined;
  readonly around: readonly string[] | undefined;
  /** The tags that any element around it in the tree may have. */
  readonly within: ReadonlySet<string>;
  readonly depth: number;
  readonly way: number;
}

const OUTSIDE: Here = {
  parents: undefined,
  around: undefined,
  within: new Set(),
  depth: 0,
  way: 1,
};

interface Kept {
  readonly doc: TreeDoc;
  readonly placed: ReadonlyMap<string, TreeOutline | undefined>;
  readonly outline: TreeOutline;
}

/** By the nodes of a tree: the outline of a state of it is that of every other with the same nodes. */
const kept = new WeakMap<TreeDoc['nodes'], Kept>();

/**
 * How sizes are told to whatever holds a tree: `roughly` as the next larger of a few numbers, so that a node more is no
 * other outline; `exactly` where it is asked whether a page is too large.
 */
export type Counting = 'roughly' | 'exactly';

/** The outlines of the trees of one state of a site. */
export class TreeOutlines {
  private readonly known = new Map<string, TreeOutline | undefined>();

  constructor(
    private readonly documents: Documents,
    private readonly counting: Counting = 'roughly',
  ) {}

  /** The outline of a page or a definition; nothing where there is none, or it contains itself. */
  of(id: string): TreeOutline | undefined {
    if (this.known.has(id)) return this.known.get(id);
    // What contains itself is told as that, and has no outline.
    this.known.set(id, undefined);
    const doc = treeDocOf(this.documents, id);
    const outline = doc && this.made(doc);
    this.known.set(id, outline);
    return outline;
  }

  private made(doc: TreeDoc): TreeOutline | undefined {
    const [root] = childrenOf(doc.nodes).roots;
    if (root === undefined) return undefined;
    const before = this.counting === 'roughly' ? kept.get(doc.nodes) : undefined;
    if (before && sameChoices(before.doc, doc) && this.placesTheSame(before)) return before.outline;
    const walk = new Walk(doc, (component) => this.of(component), this.documents, this.counting);
    const outline = walk.outline(root);
    if (this.counting === 'roughly') kept.set(doc.nodes, { doc, placed: walk.placed, outline });
    return outline;
  }

  private placesTheSame({ placed }: Kept): boolean {
    for (const [component, outline] of placed) if (this.of(component) !== outline) return false;
    return true;
  }
}

/** Whether what elements may come to be is the same: that stands beside the nodes, in properties and rules. */
function sameChoices(a: TreeDoc, b: TreeDoc): boolean {
  return (
    a === b ||
    (a.kind === 'component' && b.kind === 'component'
      ? a.properties === b.properties && a.slots === b.slots && a.rules === b.rules
      : a.kind === b.kind)
  );
}

/** One walk over one tree: of what it places only the outline is looked at. */
class Walk {
  readonly placed = new Map<string, TreeOutline | undefined>();
  private readonly children;
  private readonly roots = new Set<string>();
  private readonly forbids = new Map<string, Inner>();
  private readonly asks = new Set<string>();
  private readonly places = new Map<string, SlotPlace[]>();
  private readonly faults: NestingFault[] = [];
  private size = 0;
  /** How often a node was looked at: what fills a slot that stands twice is there twice. */
  private looked = 0;
  private depth = 0;
  private way = 0;

  constructor(
    private readonly doc: TreeDoc,
    private readonly find: (component: string) => TreeOutline | undefined,
    private readonly documents: Documents,
    private readonly counting: Counting,
  ) {
    this.children = childrenOf(doc.nodes);
  }

  outline(root: NodeId): TreeOutline {
    this.node(root, OUTSIDE);
    const up = this.counting === 'roughly' ? nextStep : (n: number) => n;
    const shown = {
      roots: [...this.roots].sort(),
      forbids: this.forbids,
      asks: [...this.asks].sort(),
      places: this.places,
      size: up(this.size),
      depth: up(this.depth),
      way: up(this.way),
    };
    const key = JSON.stringify([
      shown.roots,
      [...this.forbids.keys()].sort(),
      shown.asks,
      [...this.places.keys()].sort().map((slot) => [slot, this.places.get(slot)!.map(placeKey)]),
      shown.size,
      shown.depth,
      shown.way,
    ]);
    return { ...shown, faults: this.faults, key };
  }

  private node(id: NodeId, here: Here): void {
    // What is written out without end is not walked to its end.
    this.looked += 1;
    if (this.looked > LARGEST_PAGE) return this.count(LARGEST_PAGE, here.depth, here.way);
    const node = this.doc.nodes[id]!;
    this.count(1, here.depth, here.way);
    switch (node.kind) {
      case 'element': {
        const tags = tagsOf(this.doc, id, node);
        for (const tag of tags) this.stands(id, { tag }, tag, here);
        const inner: Here = {
          parents: tags,
          around: here.parents,
          within: new Set([...here.within, ...tags]),
          depth: here.depth + 1,
          way: here.way + 1,
        };
        this.count(0, inner.depth, here.way);
        return this.all(this.children.of(id), inner);
      }
      case 'repeat':
        return this.all(this.children.all(id), { ...here, way: here.way + 1 });
      case 'slot': {
        const inner = { ...here, way: here.way + 1 };
        const list = this.places.get(node.slot) ?? [];
        this.places.set(node.slot, list);
        list.push({ ...inner, parents: here.parents ?? [] });
        return this.all(this.children.of(id), inner);
      }
      case 'instance':
        return this.instance(id, node.component, { ...here, way: here.way + 1 });
      case 'text':
        if (!node.rich || node.rich === 'icon') return;
        this.stands(id, { rich: node.rich }, node.rich === 'blocks' ? 'p' : undefined, here);
    }
  }

  private all(ids: readonly NodeId[], here: Here): void {
    for (const id of ids) if (this.looked <= LARGEST_PAGE) this.node(id, here);
  }

  private count(size: number, depth: number, way: number): void {
    this.size += size;
    this.depth = Math.max(this.depth, depth);
    this.way = Math.max(this.way, way);
  }

  private fault(node: NodeId, reason: Said): void {
    if (!this.faults.some((each) => each.node === node && sameSaid(each.reason, reason)))
      this.faults.push({ node, reason });
  }

  /** Something stands somewhere: what is known to be wrong is a fault, what depends on what is around goes outward. */
  private stands(id: NodeId, inner: Inner, tag: string | undefined, here: Here): void {
    if (tag !== undefined) this.standsIn(id, tag, here, 'tag' in inner);
    for (const around of forbiddenAround(inner)) this.standsSomewhereIn(id, inner, around, here);
  }

  /** An element stands straight in another. */
  private standsIn(id: NodeId, tag: string, { parents, around }: Here, isElement: boolean): void {
    if (parents === undefined) {
      if (isElement) this.roots.add(tag);
      return;
    }
    for (const parent of parents) {
      if (asksAround(tag, parent) && around === undefined) this.asks.add(tag);
      for (const outer of around ?? [undefined]) {
        const reason = parentFault(tag, parent, outer);
        if (reason !== null) this.fault(id, reason);
      }
    }
  }

  private standsSomewhereIn(id: NodeId, inner: Inner, around: string, { within }: Here): void {
    if (within.has(around)) this.fault(id, innerFault(inner, around));
    if (!this.forbids.has(around)) this.forbids.set(around, inner);
  }

  private instance(id: NodeId, component: string, here: Here): void {
    const outline = this.placed.has(component) ? this.placed.get(component) : this.find(component);
    this.placed.set(component, outline);
    const doc = treeDocOf(this.documents, component);
    if (!outline || doc?.kind !== 'component') return;
    for (const tag of outline.roots) this.standsIn(id, tag, here, true);
    for (const [around, inner] of outline.forbids) this.standsSomewhereIn(id, inner, around, here);
    for (const tag of outline.asks)
      if (here.parents === undefined) this.asks.add(tag);
      else
        for (const outer of here.parents) {
          const reason = parentFault(tag, 'div', outer);
          if (reason !== null) this.fault(id, reason);
        }
    this.count(outline.size, here.depth + outline.depth, here.way + outline.way);
    for (const [slot, places] of outline.places)
      if (own(doc.slots, slot))
        for (const place of places) this.all(this.children.of(id, slot), placedIn(place, here));
  }
}

/** Where what fills a slot stands, where the instance stands somewhere. */
function placedIn(place: SlotPlace, here: Here): Here {
  return {
    parents: place.parents,
    around: place.around ?? here.parents,
    within: new Set([...here.within, ...place.within]),
    depth: here.depth + place.depth,
    way: here.way + place.way,
  };
}

function placeKey({ parents, around, within, depth, way }: SlotPlace): unknown[] {
  return [parents, around ?? null, [...within].filter(matters).sort(), depth, way];
}

const MATTERS = new Set([...FORBIDDEN_AROUND.values()].flat());

/** Whether some element may not stand in one of a tag, however far out. */
function matters(tag: string): boolean {
  return MATTERS.has(tag);
}

/** What something may not stand in, however far out: rich text may hold links, and blocks where it is said to. */
function forbiddenAround(inner: Inner): readonly string[] {
  if ('tag' in inner) return FORBIDDEN_AROUND.get(inner.tag) ?? [];
  return inner.rich === 'blocks' ? ['a', ...FORBIDDEN_AROUND.get('p')!] : ['a'];
}

function innerFault(inner: Inner, around: string): Said {
  if ('tag' in inner) return aroundFault(inner.tag, around);
  return around === 'a' ? say('rich-links-in-link') : aroundFault('p', around);
}

/** The next larger of numbers that lie a quarter apart: 16, 20, 24, 28, 32, 40 … */
function nextStep(n: number): number {
  if (n <= 16) return 16;
  const step = 2 ** (Math.floor(Math.log2(n - 1)) - 2);
  return Math.ceil(n / step) * step;
}

/** The tags that an element may come to have: its own, those that may be chosen for it, and those that rules give it. */
function tagsOf(doc: TreeDoc, id: NodeId, { tag, chosen }: ElementNode): string[] {
  const type = chosen?.tag && typeOfChoice(doc, chosen.tag, 'tag');
  const byRules = patchesOf(doc, id).flatMap(({ patch }) => patch.tag ?? []);
  return [...new Set([tag, ...Object.keys(type?.of ?? {}), ...byRules])];
}
