import { childrenOf } from './children';
import type { ComponentDoc, Doc, Documents, TreeDoc } from './documents';
import { allOf, docOf } from './documents';
import { attributesOf, isVoid, TAGS } from './html';
import type { NodeId } from './ids';
import { isPerEntry, addressesOf } from './paths';
import { pointer } from './pointer';
import type { Source } from './source';
import { NONE, type TreeNode } from './tree';
import type { Finding } from './validate';

/** What keeps a document from being sound by itself, its schema apart. */
export function invariantFindings(doc: Doc): Finding[] {
  switch (doc.kind) {
    case 'page':
      return [...treeFindings(doc), ...pageFindings(doc)];
    case 'component':
      return [...treeFindings(doc), ...componentFindings(doc)];
    case 'type':
      return Object.hasOwn(doc.fields, doc.title)
        ? []
        : [{ path: '/title', reason: 'names a field that is not there' }];
    default:
      return [];
  }
}

/** What keeps the documents of a site from being sound together. */
export function siteFindings(documents: Documents): (Finding & { doc: string })[] {
  const findings: (Finding & { doc: string })[] = [];
  const slugs = new Set<string>();
  for (const entry of allOf(documents, 'entry')) {
    const key = entry.type + '/' + entry.slug;
    if (slugs.has(key))
      findings.push({ doc: entry.id, path: '/slug', reason: `the slug ${entry.slug} is taken` });
    slugs.add(key);
  }
  const names = new Map<string, string>();
  for (const component of allOf(documents, 'component')) {
    if (names.has(component.name))
      findings.push({
        doc: component.id,
        path: '/name',
        reason: `another component is named ${component.name}`,
      });
    names.set(component.name, component.id);
  }
  const seen = new Map<string, string>();
  for (const { path, page } of addressesOf(documents, true)) {
    const other = seen.get(path);
    if (other !== undefined)
      findings.push({
        doc: page.id,
        path: '/path',
        reason: `${docOf(documents, 'page', other)?.name ?? 'another page'} and ${page.name} would both have the path ${path}`,
      });
    seen.set(path, page.id);
  }
  return findings;
}

function treeFindings(doc: TreeDoc): Finding[] {
  const children = childrenOf(doc.nodes);
  if (children.roots.length !== 1)
    return [{ path: '/nodes', reason: `has ${children.roots.length} roots; a tree has one` }];
  const findings: Finding[] = [];
  const root = doc.nodes[children.roots[0]!]!;
  if (root.kind !== 'element' && root.kind !== 'instance')
    findings.push({
      path: '/nodes',
      reason: 'has a root that is neither an element nor an instance',
    });
  const reached = new Set<NodeId>();
  const visit = (id: NodeId) => {
    reached.add(id);
    for (const child of children.all(id)) visit(child);
  };
  visit(children.roots[0]!);
  for (const id in doc.nodes) {
    if (!reached.has(id))
      findings.push({
        path: pointer('nodes', id, 'place', 'parent'),
        reason: 'does not lead up to the root',
      });
    else findings.push(...nodeFindings(doc, id, doc.nodes[id]!));
  }
  return findings;
}

function nodeFindings(doc: TreeDoc, id: NodeId, node: TreeNode): Finding[] {
  const findings: Finding[] = [];
  const at = (...rest: string[]) => pointer('nodes', id, ...rest);
  const parent = node.place.parent === null ? undefined : doc.nodes[node.place.parent];
  if (parent?.kind === 'text') findings.push({ path: at('place'), reason: 'stands in a text' });
  if (parent?.kind === 'element' && isVoid(parent.tag))
    findings.push({ path: at('place'), reason: `stands in ${parent.tag}, which holds nothing` });
  if (parent?.kind === 'instance' && node.place.slot === undefined)
    findings.push({ path: at('place'), reason: 'stands in an instance, but in none of its slots' });
  if (
    node.place.slot !== undefined &&
    parent?.kind !== 'instance' &&
    !(parent?.kind === 'repeat' && node.place.slot === NONE)
  )
    findings.push({ path: at('place', 'slot'), reason: 'names a slot where there is none' });
  if (node.kind === 'element') {
    if (!TAGS.has(node.tag))
      findings.push({ path: at('tag'), reason: `${node.tag} is no element that can be used` });
    const known = attributesOf(node.tag);
    for (const name in node.attributes)
      if (!Object.hasOwn(known, name))
        findings.push({ path: at('attributes', name), reason: `${node.tag} takes no ${name}` });
  }
  if (node.kind === 'slot') {
    if (doc.kind !== 'component' || !Object.hasOwn(doc.slots, node.slot))
      findings.push({ path: at('slot'), reason: 'is no slot of this definition' });
    if (repeatsAround(doc, id).length > 0)
      findings.push({ path: at('place'), reason: 'a slot cannot stand in a repeat' });
  }
  for (const [where, source] of sourcesOf(node))
    findings.push(
      ...sourceFindings(doc, id, source).map((reason) => ({ path: at(...where), reason })),
    );
  return findings;
}

/** The sources a node holds, each with the members that lead to it, in an order that storing does not change. */
export function sourcesOf(node: TreeNode): [string[], Source][] {
  const found: [string[], Source][] = [];
  if (node.kind === 'element')
    for (const name of Object.keys(node.attributes).sort())
      found.push([['attributes', name], node.attributes[name]!]);
  if (node.kind === 'instance')
    for (const id of Object.keys(node.values).sort())
      found.push([['values', id], node.values[id]!]);
  if (node.kind === 'text') found.push([['text'], node.text]);
  if (node.kind === 'repeat')
    node.query.where.forEach((condition, i) =>
      found.push([['query', 'where', String(i), 'equals'], condition.equals]),
    );
  if (node.kind !== 'slot' && node.kind !== 'repeat' && node.shown)
    found.push([['shown'], node.shown]);
  return found;
}

/** The repeats that a node stands in, nearest first. What stands in "none" has no entry. */
export function repeatsAround(doc: TreeDoc, id: NodeId): NodeId[] {
  const found: NodeId[] = [];
  let at = doc.nodes[id];
  for (let steps = 0; at && at.place.parent !== null && steps < 1000; steps += 1) {
    const parent = doc.nodes[at.place.parent];
    if (parent?.kind === 'repeat' && at.place.slot !== NONE) found.push(at.place.parent);
    at = parent;
  }
  return found;
}

function sourceFindings(doc: TreeDoc, node: NodeId, source: Source): string[] {
  const reasons: string[] = [];
  if (source.is === 'property') {
    if (doc.kind !== 'component') reasons.push('a page has no properties to read');
    else if (!Object.hasOwn(doc.properties, source.property))
      reasons.push('names a property that is not there');
  }
  if (source.is === 'field') {
    if (source.from === 'page') {
      if (doc.kind !== 'page')
        reasons.push('a definition reads the entry of a page only through its properties');
      else if (doc.entries === null) reasons.push('this page is made from no entries');
    } else if (!repeatsAround(doc, node).includes(source.from.repeat))
      reasons.push('reads the entry of a repeat that is not around it');
  }
  if (typeof source.whenEmpty === 'object')
    reasons.push(...sourceFindings(doc, node, source.whenEmpty.use));
  return reasons;
}

function pageFindings(doc: Extract<Doc, { kind: 'page' }>): Finding[] {
  if (isPerEntry(doc) !== (doc.entries !== null))
    return [
      { path: '/path', reason: 'a page ends in <slug> exactly when it is made from entries' },
    ];
  return (['title', 'description'] as const).flatMap((which) => {
    const source = doc[which];
    const fits =
      source.is === 'value' ||
      (source.is === 'field' && source.from === 'page' && doc.entries !== null);
    return fits ? [] : [{ path: '/' + which, reason: 'reads what a page does not have' }];
  });
}

function componentFindings(doc: ComponentDoc): Finding[] {
  const findings: Finding[] = [];
  const keys = new Set<string>();
  for (const id in doc.properties) {
    const { key, group, default: source } = doc.properties[id]!;
    if (keys.has(key))
      findings.push({ path: pointer('properties', id, 'key'), reason: `the key ${key} is taken` });
    keys.add(key);
    if (group !== null && !Object.hasOwn(doc.groups, group))
      findings.push({
        path: pointer('properties', id, 'group'),
        reason: 'names a group that is not there',
      });
    if (source.is !== 'value')
      findings.push({ path: pointer('properties', id, 'default'), reason: 'a default is a value' });
  }
  return findings;
}
