import {
  Documents,
  treeDifference,
  type ComponentDoc,
  type Doc,
  type DocId,
  type NodeId,
} from '../model';
import { documentUses, member, nodeUses, type Use } from './uses';

/** Whom something reaches. */
export interface Answer {
  /** The stored nodes that use it directly. */
  readonly instances: readonly Use[];
  /** The documents those stand in. */
  readonly documents: readonly DocId[];
  /** The pages it reaches, directly or through other documents. */
  readonly pages: readonly DocId[];
  /** How many addresses those pages are published at. */
  readonly published: number;
}

/** Uses of one target: a dense list, each use knowing its place, and how many each document has. */
class Bag {
  readonly list: Kept[] = [];
  readonly documents = new Map<DocId, number>();

  add(kept: Kept): void {
    kept.at = this.list.length;
    this.list.push(kept);
    this.documents.set(kept.from, (this.documents.get(kept.from) ?? 0) + 1);
  }

  remove(kept: Kept): void {
    const last = this.list.pop()!;
    if (last !== kept) {
      this.list[kept.at] = last;
      last.at = kept.at;
    }
    const left = this.documents.get(kept.from)! - 1;
    if (left === 0) this.documents.delete(kept.from);
    else this.documents.set(kept.from, left);
  }
}

type Kept = { from: DocId; node: NodeId; kind: Use['kind']; to: string; at: number };

/** Documents that pass on what they use: what reaches a component reaches everything that places it. */
const PASSES_ON = new Set<Doc['kind']>(['component', 'entry', 'asset']);

/**
 * The dependency index: kept up to date edit by edit, so that every question is answered from what is
 * there already. Updating looks only at nodes that are not the same object as before.
 */
export class Reach {
  private readonly bags = new Map<string, Bag>();
  private readonly nodes = new Map<DocId, Map<NodeId, Kept[]>>();
  private readonly kinds = new Map<DocId, Doc['kind']>();
  private readonly pages = new Map<DocId, { draft: boolean; entries: DocId | null }>();
  private readonly entries = new Map<DocId, number>();

  constructor(documents = Documents.none) {
    for (const doc of documents) this.update(undefined, doc);
  }

  /** Takes in one document's change; `undefined` is a document that is not there. */
  update(before: Doc | undefined, after: Doc | undefined): void {
    if (before === after) return;
    const id = (after ?? before)!.id;
    let nodes = this.nodes.get(id);
    if (!nodes) this.nodes.set(id, (nodes = new Map()));
    const old = before?.kind === 'page' || before?.kind === 'component' ? before.nodes : {};
    const now = after?.kind === 'page' || after?.kind === 'component' ? after.nodes : {};
    if (old !== now) {
      const { changed, removed } = treeDifference(old, now);
      for (const node of changed) this.replace(nodes, node, nodeUses(id, node, now[node]!));
      for (const node of removed) this.replace(nodes, node, []);
    }
    if (!sameHead(before, after)) this.replace(nodes, '', after ? documentUses(after) : []);
    this.countEntry(before, -1);
    this.countEntry(after, 1);
    if (!after) {
      this.nodes.delete(id);
      this.kinds.delete(id);
      this.pages.delete(id);
      return;
    }
    if (before === undefined) this.kinds.set(id, after.kind);
    if (after.kind === 'page') this.pages.set(id, { draft: after.draft, entries: after.entries });
  }

  /** Takes in the difference of two states of a site. */
  updateAll(before: Documents, after: Documents): void {
    if (before === after) return;
    for (const change of after.differenceFrom(before)) this.update(change.before, change.after);
  }

  private replace(nodes: Map<NodeId, Kept[]>, node: NodeId, uses: Use[]): void {
    for (const kept of nodes.get(node) ?? []) this.bags.get(kept.to)!.remove(kept);
    if (uses.length === 0) {
      nodes.delete(node);
      return;
    }
    const list: Kept[] = uses.map((use) => ({ ...use, at: 0 }));
    nodes.set(node, list);
    for (const kept of list) {
      let bag = this.bags.get(kept.to);
      if (!bag) this.bags.set(kept.to, (bag = new Bag()));
      bag.add(kept);
    }
  }

  private countEntry(doc: Doc | undefined, by: number): void {
    if (doc?.kind === 'entry' && !doc.draft)
      this.entries.set(doc.type, (this.entries.get(doc.type) ?? 0) + by);
  }

  /** All direct uses of a document or a member of one. */
  usesOf(target: string): readonly Use[] {
    return this.bags.get(target)?.list.slice() ?? [];
  }

  /** The instances of a component, each with the document in which it stands. */
  placesOf(component: DocId): { readonly doc: DocId; readonly node: NodeId }[] {
    return this.usesOf(component).flatMap(({ kind, from, node }) =>
      kind === 'places' ? { doc: from, node } : [],
    );
  }

  /** Whom a document reaches. */
  answer(target: DocId): Answer {
    const bag = this.bags.get(target);
    const pages = this.pagesReachedBy(target);
    let published = 0;
    for (const page of pages) published += this.publishedAt(page);
    return {
      instances: bag ? bag.list.slice() : [],
      documents: bag ? [...bag.documents.keys()] : [],
      pages,
      published,
    };
  }

  /**
   * How many times what a document holds stands on pages: once for a page, for a definition as often as it is placed,
   * within others too. A repeat and a page of many entries count once.
   */
  standing(doc: DocId): number {
    const known = new Map<DocId, number>();
    const count = (at: DocId): number => {
      if (this.pages.has(at)) return 1;
      const before = known.get(at);
      if (before !== undefined) return before;
      // No definition holds itself; what would, stands nowhere.
      known.set(at, 0);
      let sum = 0;
      for (const { from, kind } of this.bags.get(at)?.list ?? [])
        if (kind === 'places') sum += count(from);
      known.set(at, sum);
      return sum;
    };
    return count(doc);
  }

  /** The instances of a component that set a property themselves, and so keep their value. */
  settersOf(component: DocId, property: string): readonly Use[] {
    return this.usesOf(member(component, property));
  }

  /** The pages that a document reaches, itself included when it is one. */
  private pagesReachedBy(target: DocId): DocId[] {
    if (this.pages.has(target)) return [target];
    const pages: DocId[] = [];
    const seen = new Set<DocId>([target]);
    const open = [target];
    for (let at = open.pop(); at !== undefined; at = open.pop()) {
      const bag = this.bags.get(at);
      if (!bag) continue;
      for (const doc of bag.documents.keys()) {
        if (seen.has(doc)) continue;
        seen.add(doc);
        const kind = this.kinds.get(doc);
        if (kind === 'page') pages.push(doc);
        else if (kind !== undefined && PASSES_ON.has(kind)) open.push(doc);
      }
    }
    return pages;
  }

  /** At how many addresses a page is published: none for a draft, one for each entry where it is made from entries. */
  publishedAt(page: DocId): number {
    const kept = this.pages.get(page);
    if (!kept || kept.draft) return 0;
    return kept.entries === null ? 1 : (this.entries.get(kept.entries) ?? 0);
  }

  /** Everything it holds, sorted, for comparing two of them. */
  dump(): string[] {
    const lines: string[] = [];
    for (const bag of this.bags.values())
      for (const { from, node, kind, to } of bag.list) lines.push([to, kind, from, node].join(' '));
    for (const [type, count] of this.entries) if (count > 0) lines.push(`entries ${type} ${count}`);
    for (const [page, { draft, entries }] of this.pages)
      lines.push(`page ${page} ${draft} ${entries ?? ''}`);
    return lines.sort();
  }
}

/** Whether what a document uses apart from its nodes is the same. */
function sameHead(before: Doc | undefined, after: Doc | undefined): boolean {
  if (!before || !after || before.kind !== after.kind) return false;
  if (before.kind === 'page' && after.kind === 'page')
    return (
      before.entries === after.entries &&
      before.title === after.title &&
      before.description === after.description &&
      before.image === after.image
    );
  if (before.kind === 'component' && after.kind === 'component')
    return (
      before.properties === after.properties &&
      before.rules === after.rules &&
      (before.nodes === after.nodes || !rulesSetValues(after))
    );
  return false;
}

/** Whether its rules give values to instances: whose values they are says the instance's node. */
function rulesSetValues({ rules }: ComponentDoc): boolean {
  return Object.values(rules).some(({ patch }) =>
    Object.values(patch).some(({ values }) => values !== undefined),
  );
}
