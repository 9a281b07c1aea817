import { own, type EntryDoc } from '../model';
import {
  positionIn,
  runQuery,
  WAITED_FOR,
  WAITING,
  type Data,
  type Item,
  type Known,
  type Leaf,
} from '../value';
import { sameContent } from './fragments';
import {
  contentOf,
  customText,
  elementAt,
  levelAt,
  allSaidAt,
  shownAt,
  tagAt,
  textAt,
  writtenAttribute,
} from './semantics';
import type {
  Linked,
  LinkedElement,
  LinkedInstance,
  LinkedNode,
  LinkedRepeat,
  LinkedSlot,
  LinkedText,
  Reads,
} from './linked';
import type { Outer, Resolved, ResolvedElement, ResolvedGroup, ResolvedText } from './resolved';
import { NO_LOOK } from './look-at';
import {
  instanceScope,
  itemScope,
  onLeaf,
  rootScope,
  type Holding,
  type Picks,
  sameFill,
  sameLeaf,
  samePosition,
  sameParts,
  sameResult,
  type Scope,
} from './scope';

/** A resolved document. */
export interface Built {
  readonly linked: Linked;
  readonly scope: Scope;
  /** Nothing, when the root is not shown. */
  readonly root: Resolved | null;
}

/** Counts the nodes that were made anew, for whoever wants to know how much was shared. */
export type Made = { nodes: number };

/**
 * The tree that a linked document shows, sharing with `before` every node that did not change.
 * @param page the entry, on pages made from entries
 * @param picks in which of its variants a definition is looked at
 * @param holding states that are held; `before` was built with the same
 */
export function build(
  linked: Linked,
  data: Data,
  page: EntryDoc | undefined,
  before?: Built,
  made: Made = { nodes: 0 },
  picks?: Picks,
  holding?: Holding,
): Built {
  const old = before?.linked.doc === linked.doc ? before : undefined;
  const scope = rootScope(linked, data, page, old?.scope, picks, undefined, undefined, holding);
  if (old && old.linked === linked && old.scope === scope) return old;
  const root = new Builder(made).node(linked.root, scope, NO_OUTER, old?.root ?? undefined);
  return { linked, scope, root };
}

/**
 * Resolves a linked tree beside the one it had before. Sharing is decided twice for each node: before it is resolved, by
 * what it reads (then nothing below is looked at), and after, by what came of it (then only what is below is new). Both
 * must hold for React to draw no more than what changed, and for a canvas to follow each key.
 */
class Builder {
  constructor(private readonly made: Made) {}

  /** A node as it shows at a place; nothing where it does not. `before` is what stood there, whatever kind it was of. */
  node(
    from: LinkedNode,
    scope: Scope,
    outer: Outer,
    before: Resolved | undefined,
  ): Resolved | null {
    if (
      before &&
      before.from === from &&
      sameOuter(before.outer, outer) &&
      sameFor(from.reads, before.scope, scope)
    ) {
      return before;
    }
    switch (from.kind) {
      case 'element':
        return this.element(from, scope, outer, before?.kind === 'element' ? before : undefined);
      case 'text':
        return this.text(from, scope, before?.kind === 'text' ? before : undefined);
      case 'instance':
        return this.instance(from, scope, outer, before?.kind === 'group' ? before : undefined);
      case 'slot':
        return this.slot(from, scope, before?.kind === 'group' ? before : undefined);
      case 'repeat':
        return this.repeat(from, scope, before?.kind === 'group' ? before : undefined);
    }
  }

  private element(
    from: LinkedElement,
    scope: Scope,
    outer: Outer,
    before: ResolvedElement | undefined,
  ): Resolved | null {
    // What is waited for is drawn as if it were there: whether it shows is not known, and it keeps its room.
    const shown = shownAt(from.shown, scope);
    const here = shown === false ? null : elementAt(from, scope);
    if (!here) return null;
    const waiting = shown === WAITING || here.attributes.some(({ value }) => value === WAITING);
    const tag = tagAt(from, scope);
    const attributes: Record<string, string> = {};
    const { classes, style } = outerOf(from, scope, outer);
    if (classes) attributes['class'] = classes;
    for (const { name, value } of here.attributes)
      for (const [key, text] of writtenAttribute(name, value as Known, scope.data))
        attributes[key] = text;
    const focus = here.focus
      ? customText(here.focus.name, here.focus.value as Known, scope.data)
      : '';
    if (style || focus) attributes['style'] = [style, focus].filter(Boolean).join(';');
    const children = this.list(from.children, scope, before?.children);
    if (
      before &&
      before.tag === tag &&
      before.waiting === waiting &&
      sameOuter(before.outer, outer) &&
      before.children === children &&
      before.scope.within === scope.within &&
      sameStrings(before.attributes, attributes)
    ) {
      // The same to see, of another linked node: whoever asks where it comes from must hear of the new one.
      before.from = from;
      before.scope = scope;
      return before;
    }
    this.made.nodes += 1;
    return { kind: 'element', from, scope, outer, tag, attributes, children, waiting };
  }

  private text(from: LinkedText, scope: Scope, before: ResolvedText | undefined): Resolved | null {
    const shown = shownAt(from.shown, scope);
    if (shown === false) return null;
    const value = textAt(from, scope) as Known;
    const waiting = shown === WAITING || value === WAITING;
    const content = waiting
      ? WAITING_WORDS
      : contentOf(value, from.rich, levelAt(from, scope) as number, scope.data);
    if (
      before &&
      before.waiting === waiting &&
      sameContent(before.content, content) &&
      before.scope.within === scope.within
    ) {
      before.from = from;
      before.scope = scope;
      return before;
    }
    this.made.nodes += 1;
    return { kind: 'text', from, scope, outer: NO_OUTER, content, waiting };
  }

  private instance(
    from: LinkedInstance,
    scope: Scope,
    outer: Outer,
    before: ResolvedGroup | undefined,
  ): Resolved | null {
    const shown = shownAt(from.shown, scope);
    if (shown === false) return null;
    const inner = instanceScope(from, scope, before?.inner);
    const old = before?.children[0];
    const root = this.node(from.component.root, inner, outerOf(from, scope, outer), old);
    const children = root === null ? NO_CHILDREN : root === old ? before!.children : [root];
    return this.group(from, scope, outer, inner, undefined, children, before, shown === WAITING);
  }

  /** What fills a slot is resolved in the scope where it was put, what stands there otherwise in the definition's own. */
  private slot(from: LinkedSlot, scope: Scope, before: ResolvedGroup | undefined): Resolved | null {
    const shown = shownAt(from.shown, scope);
    if (shown === false) return null;
    const fill = own(scope.slots, from.slot);
    const inner = fill ? fill.scope : scope;
    const nodes = fill ? fill.nodes : from.fallback;
    const children = this.list(nodes, inner, before?.children);
    return this.group(from, scope, NO_OUTER, inner, undefined, children, before, shown === WAITING);
  }

  private repeat(from: LinkedRepeat, scope: Scope, before: ResolvedGroup | undefined): Resolved {
    const all = runQuery(from.query, scope) as readonly Item[];
    if (all === WAITED_FOR)
      return this.group(from, scope, NO_OUTER, scope, undefined, NO_CHILDREN, before, true);
    const { items: found, past } = onLeaf(all, from.perPage, scope.leaf as Leaf);
    if (found.length === 0) {
      const children = this.list(from.none, scope, before?.children);
      return this.group(from, scope, NO_OUTER, scope, undefined, children, before);
    }
    const items = found.map((item, i) => {
      const old = itemBefore(before, item, i);
      const inner = itemScope(from, item, positionIn(found, i, past), scope, old?.inner);
      const children = this.list(from.items, inner, old?.children);
      return this.group(from, scope, NO_OUTER, inner, item, children, old);
    });
    const children = sameItems(before?.children, items) ? before!.children : items;
    return this.group(from, scope, NO_OUTER, scope, undefined, children, before);
  }

  private group(
    from: ResolvedGroup['from'],
    scope: Scope,
    outer: Outer,
    inner: Scope,
    item: Item | undefined,
    children: readonly Resolved[],
    before: ResolvedGroup | undefined,
    waiting = false,
  ): ResolvedGroup {
    if (
      before &&
      before.children === children &&
      sameOuter(before.outer, outer) &&
      before.item === item &&
      before.waiting === waiting &&
      before.from.kind === from.kind &&
      before.scope.within === scope.within
    ) {
      before.from = from;
      before.scope = scope;
      before.inner = inner;
      return before;
    }
    this.made.nodes += 1;
    return { kind: 'group', from, scope, outer, inner, item, children, waiting };
  }

  /**
   * The children of a node, each beside what it was before. Those keep their order for the most part, so that each is
   * looked for where the last was found, and only then everywhere: a list of a thousand costs a thousand looks, not a
   * million. The same list is given back where every child is the same.
   */
  private list(
    nodes: readonly LinkedNode[],
    scope: Scope,
    before: readonly Resolved[] | undefined,
  ): readonly Resolved[] {
    const children: Resolved[] = [];
    let at = 0;
    let same = before !== undefined;
    for (const node of nodes) {
      let old: Resolved | undefined;
      if (before) {
        if (before[at]?.from.id === node.id) old = before[at];
        else {
          const found = before.findIndex((child) => child.from.id === node.id);
          if (found >= 0) {
            at = found;
            old = before[found];
          }
        }
        if (old) at += 1;
      }
      const child = this.node(node, scope, NO_OUTER, old);
      if (child === null) continue;
      if (same && before![children.length] !== child) same = false;
      children.push(child);
    }
    if (same && before!.length === children.length) return before!;
    return children.length === 0 ? NO_CHILDREN : children;
  }
}

/** What stands for words that are not loaded yet. */
const WAITING_WORDS = '…';

const NO_CHILDREN: readonly Resolved[] = Object.freeze([]);

/** The round of a repeat that an item had before: at the same place for the most part, else wherever it was. */
function itemBefore(
  before: ResolvedGroup | undefined,
  item: Item,
  index: number,
): ResolvedGroup | undefined {
  const matches = (child: Resolved | undefined) =>
    child?.kind === 'group' && child.item?.id === item.id ? child : undefined;
  if (!before) return undefined;
  const near = matches(before.children[index]);
  if (near) return near;
  for (const child of before.children) if (matches(child)) return matches(child);
  return undefined;
}

const NO_OUTER: Outer = Object.freeze({ classes: '', style: '' });

function sameOuter(a: Outer, b: Outer): boolean {
  return a === b || (a.classes === b.classes && a.style === b.style);
}

/** What a node and the instances around it say of its element's look, with every name known. */
function outerOf(from: LinkedElement | LinkedInstance, scope: Scope, outer: Outer): Outer {
  const { classes, customs } = allSaidAt(from, scope, NO_LOOK);
  if (classes.length === 0) return outer;
  const joined = (parts: readonly string[], with_: string, more: string) =>
    [...parts, more].filter(Boolean).join(with_);
  return {
    classes: joined(classes as readonly string[], ' ', outer.classes),
    style: joined(
      customs.map(({ name, value }) => customText(name, value as Known, scope.data)),
      ';',
      outer.style,
    ),
  };
}

/** Whether two scopes mean the same for a node that reads only this. */
function sameFor(reads: Reads, a: Scope, b: Scope): boolean {
  if (a === b) return true;
  if (a.within !== b.within) return false;
  if (reads.parts && !sameParts(a.parts, b.parts)) return false;
  if (reads.data && (a.data !== b.data || !sameLeaf(a.leaf, b.leaf))) return false;
  // What a list gives may go by anything around.
  if (reads.lists && a.lists !== b.lists) return false;
  if (reads.page && a.page !== b.page) return false;
  for (const id of reads.properties)
    if (!sameResult(own(a.properties, id), own(b.properties, id))) return false;
  for (const id of reads.repeats) if (own(a.repeats, id) !== own(b.repeats, id)) return false;
  for (const id of reads.positions)
    if (!samePosition(own(a.positions, id), own(b.positions, id))) return false;
  for (const id of reads.slots) if (!sameFill(own(a.slots, id), own(b.slots, id))) return false;
  return true;
}

/** Whether two records hold the same, without a list of their keys: this is asked of every element, at every key. */
function sameStrings(
  a: Readonly<Record<string, string>>,
  b: Readonly<Record<string, string>>,
): boolean {
  let count = 0;
  for (const key in b) {
    count += 1;
    if (a[key] !== b[key]) return false;
  }
  for (const _ in a) count -= 1;
  return count === 0;
}

function sameItems(a: readonly Resolved[] | undefined, b: readonly Resolved[]): boolean {
  return a !== undefined && a.length === b.length && b.every((item, i) => item === a[i]);
}
