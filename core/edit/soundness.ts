import {
  allOf,
  childrenOf,
  invariantFindings,
  nestingFault,
  pointer,
  rootOf,
  siteFindings,
  tokensOf,
  treeDocOf,
  type Block,
  type Doc,
  type Documents,
  type Finding,
  type NodeId,
  type TreeDoc,
} from '../model';
import { blockFindings } from '../style';
import type { Change } from './change';
import { touched } from './change';

export type DocumentFinding = Finding & { doc: string };

/**
 * What keeps the documents from being sound after these changes: each touched document by itself,
 * then what holds between documents. Schemas are checked where documents are stored.
 */
export function findingsAfter(documents: Documents, changes: readonly Change[]): DocumentFinding[] {
  const findings: DocumentFinding[] = [];
  for (const id of touched(changes)) {
    const doc = documents[id];
    if (!doc) continue;
    for (const finding of invariantFindings(doc)) findings.push({ doc: id, ...finding });
  }
  if (findings.length > 0) return findings;
  findings.push(...declarationFindings(documents, changes));
  if (changes.some(movesDocuments)) {
    findings.push(...siteFindings(documents));
    findings.push(...danglingFindings(documents));
  }
  if (findings.length === 0 && changes.some(movesNodes))
    findings.push(...nestingFindings(documents, touched(changes)));
  return findings;
}

/** Whether a change may break what holds between documents: paths, names, slugs, documents that go or come. */
function movesDocuments({ path }: Change): boolean {
  return ['', '/path', '/name', '/slug', '/draft', '/entries', '/type', '/surround'].includes(path);
}

/** Whether a change may alter which element stands in which. */
function movesNodes({ path }: Change): boolean {
  const tokens = tokensOf(path);
  return (
    tokens.length === 0 ||
    (tokens[0] === 'nodes' &&
      (tokens.length <= 2 || ['place', 'tag', 'component', 'slot'].includes(tokens[2]!)))
  );
}

function declarationFindings(documents: Documents, changes: readonly Change[]): DocumentFinding[] {
  const findings: DocumentFinding[] = [];
  const check = (doc: string, where: string[], block: Block) => {
    for (const { path, reason } of blockFindings(block))
      findings.push({ doc, path: pointer(...where) + path, reason });
  };
  for (const { doc: id, path } of changes) {
    const doc = documents[id];
    const [member, node] = tokensOf(path);
    if (doc?.kind === 'page' || doc?.kind === 'component') {
      const changed =
        member === undefined ? Object.keys(doc.nodes) : node === undefined ? [] : [node];
      for (const each of changed) {
        const stored = doc.nodes[each];
        if (stored?.kind === 'element' || stored?.kind === 'instance')
          check(id, ['nodes', each, 'style'], stored.style);
      }
    }
    if (doc?.kind === 'styles')
      for (const tag in doc.tags) check(id, ['tags', tag], doc.tags[tag]!);
  }
  return findings;
}

/** Documents that are used where they must be there: the component of an instance, the type of an entry. */
function danglingFindings(documents: Documents): DocumentFinding[] {
  const findings: DocumentFinding[] = [];
  const kindOf = (id: string): Doc['kind'] | undefined => documents[id]?.kind;
  for (const doc of Object.values(documents)) {
    if (doc.kind === 'page' || doc.kind === 'component')
      for (const id in doc.nodes) {
        const node = doc.nodes[id]!;
        if (node.kind === 'instance' && kindOf(node.component) !== 'component')
          findings.push({
            doc: doc.id,
            path: pointer('nodes', id, 'component'),
            reason: 'is placed here, but the component is gone',
          });
      }
    if (doc.kind === 'entry' && kindOf(doc.type) !== 'type')
      findings.push({
        doc: doc.id,
        path: '/type',
        reason: 'is the content type of an entry, but it is gone',
      });
  }
  return findings;
}

/** Which element would stand where it may not, in the touched trees and in all that hold them. */
function nestingFindings(documents: Documents, ids: readonly string[]): DocumentFinding[] {
  const loop = containmentLoop(documents, ids);
  if (loop) return [loop];
  const holders = holdersOf(documents, ids);
  return [...holders].flatMap((id) => {
    const doc = treeDocOf(documents, id);
    return doc ? new NestingCheck(documents, doc).findings : [];
  });
}

/** The tree documents that are these or hold them, however deep. */
function holdersOf(documents: Documents, ids: readonly string[]): Set<string> {
  const holders = new Set(ids);
  const trees = [...allOf(documents, 'component'), ...allOf(documents, 'page')];
  for (let grew = true; grew;) {
    grew = false;
    for (const doc of trees) {
      if (holders.has(doc.id)) continue;
      if (componentsIn(doc).some((id) => holders.has(id))) {
        holders.add(doc.id);
        grew = true;
      }
    }
  }
  return holders;
}

function componentsIn(doc: TreeDoc): string[] {
  return Object.values(doc.nodes).flatMap((node) =>
    node.kind === 'instance' ? [node.component] : [],
  );
}

/** The first way in which a touched component contains itself, named step by step. */
function containmentLoop(
  documents: Documents,
  ids: readonly string[],
): DocumentFinding | undefined {
  for (const start of ids) {
    const doc = treeDocOf(documents, start);
    if (doc?.kind !== 'component') continue;
    const seen = new Set<string>();
    const search = (id: string, path: string[]): string[] | undefined => {
      const component = treeDocOf(documents, id);
      if (!component || seen.has(id)) return undefined;
      seen.add(id);
      for (const inner of componentsIn(component)) {
        const name = treeDocOf(documents, inner)?.name ?? inner;
        if (inner === start) return [...path, name];
        const found = search(inner, [...path, name]);
        if (found) return found;
      }
      return undefined;
    };
    const path = search(start, [doc.name]);
    if (path)
      return {
        doc: start,
        path: '/nodes',
        reason: `the component would contain itself: ${path.join(' in ')}`,
      };
  }
  return undefined;
}

/** Walks a tree with every definition written out in place. */
class NestingCheck {
  readonly findings: DocumentFinding[] = [];

  constructor(
    private readonly documents: Documents,
    doc: TreeDoc,
  ) {
    this.node(doc, rootOf(doc.nodes), [], { doc: doc.id, node: '' }, () => []);
  }

  private node(
    doc: TreeDoc,
    id: NodeId,
    above: readonly string[],
    at: { doc: string; node: NodeId },
    fill: (slot: string, above: readonly string[]) => unknown,
  ): void {
    const node = doc.nodes[id]!;
    const children = childrenOf(doc.nodes);
    const here = at.node === '' ? { doc: doc.id, node: id } : at;
    const each = (ids: readonly NodeId[], tags: readonly string[]) => {
      for (const child of ids) this.node(doc, child, tags, at, fill);
    };
    switch (node.kind) {
      case 'element': {
        const fault = nestingFault(node.tag, above);
        if (fault)
          this.findings.push({ doc: here.doc, path: pointer('nodes', here.node), reason: fault });
        return each(children.of(id), [node.tag, ...above]);
      }
      case 'repeat':
        return each(children.all(id), above);
      case 'slot':
        each(children.of(id), above);
        fill(node.slot, above);
        return;
      case 'instance': {
        const component = treeDocOf(this.documents, node.component);
        if (!component) return;
        this.node(component, rootOf(component.nodes), above, here, (slot, tags) =>
          each(children.of(id, slot), tags),
        );
        return;
      }
      case 'text':
    }
  }
}
