import { say, type Said } from '../said';
import { childrenOf } from './children';
import { claim, partsOf } from './claims';
import type { Documents } from './document-set';
import type { ComponentDoc, Doc, Rule, TreeDoc, TypeDoc } from './documents';
import { ONLY_KINDS } from './documents';
import { allOf, docOf } from './looking-up';
import { attributeFault, attributeType } from './attributes';
import { isVoid, tagFamily, TAGS, takesText } from './html';
import type { NodeId } from './ids';
import { DEEPEST_TREE, LARGEST_TREE } from './limits';
import { blockSources, chainOf, ruleSources, sourcesOf } from './node-sources';
import { own } from './own';
import { addressesAt, isLeafPath, isPerEntry, pathsOfEntry, pathsOfPage } from './paths';
import { pointer } from './pointer';
import { isMade, type Source } from './source';
import { NEVER_CONTENT } from './types';
import { NONE, type Block, type TreeNode } from './tree';
import type { Finding } from './well-formed';

/**
 * What keeps a document from being sound by itself, its schema apart.
 * @param only nodes that changed, where everything else about a document with a tree, places included, is as
 * it was in a sound state: then only they are looked at
 */
export function invariantFindings(doc: Doc, only?: ReadonlySet<NodeId>): Finding[] {
  switch (doc.kind) {
    case 'page':
    case 'component': {
      if (only)
        return [...only].flatMap((id) => {
          const node = own(doc.nodes, id);
          return node ? nodeFindings(doc, id, node) : [];
        });
      const rest = doc.kind === 'page' ? pageFindings(doc) : componentFindings(doc);
      return [...treeFindings(doc), ...rest];
    }
    case 'tags':
      return Object.keys(doc.tags).flatMap((tag) => sharedFindings(doc.tags[tag]!, 'tags', tag));
    case 'style':
      return [
        ...sharedFindings(doc.style, 'style'),
        ...(doc.base === doc.id ? [{ path: '/base', reason: say('style-modifies-itself') }] : []),
      ];
    case 'type':
      return typeFindings(doc);
    default:
      return [];
  }
}

function typeFindings({ title, fields, groups, slugFrom }: TypeDoc): Finding[] {
  const findings: Finding[] = [];
  if (!Object.hasOwn(fields, title)) findings.push({ path: '/title', reason: say('no-field') });
  if (!(slugFrom ?? []).every((id) => Object.hasOwn(fields, id)))
    findings.push({ path: '/slugFrom', reason: say('no-field') });
  for (const id in fields) {
    const { type, group } = fields[id]!;
    if (NEVER_CONTENT.has(type.kind))
      findings.push({ path: pointer('fields', id, 'type'), reason: say('content-no-choice') });
    if (group !== undefined && !Object.hasOwn(groups ?? {}, group))
      findings.push({ path: pointer('fields', id, 'group'), reason: say('no-group') });
  }
  return findings;
}

/** What many elements share reads nothing of where one of them stands: tokens may stand in it, sources not. */
function sharedFindings(block: Block, ...where: string[]): Finding[] {
  return blockSources(block).map(([path]) => ({
    path: pointer(...where, ...path),
    reason: say('shared-reads-source'),
  }));
}

type SiteFinding = Finding & { doc: string };

/**
 * What keeps the documents of a site from being sound together.
 * @param only documents that changed: then nothing is looked at but what they claim
 */
export function siteFindings(documents: Documents, only?: Iterable<string>): SiteFinding[] {
  const findings = ONLY_KINDS.flatMap((kind) => onlyFindings(documents, kind));
  const claimed = new Set<string>();
  const paths = new Set<string>();
  for (const id of only ?? documents.ids()) {
    const doc = documents.get(id);
    if (doc?.kind === 'entry') claimed.add(claim.slug(doc.type, doc.slug));
    if (doc?.kind === 'component') claimed.add(claim.component(doc.name));
    for (const path of doc ? pathsThatMayClash(documents, doc) : []) paths.add(path);
  }
  for (const each of claimed) findings.push(...claimFindings(documents, each));
  for (const path of [...paths].sort()) findings.push(...pathFindings(documents, path));
  return findings;
}

function onlyFindings(documents: Documents, kind: (typeof ONLY_KINDS)[number]): SiteFinding[] {
  const [first, second] = allOf(documents, kind);
  if (!first) return [{ doc: kind, path: '', reason: say('one-of-kind', { kind }) }];
  if (!second) return [];
  return [{ doc: second.id, path: '', reason: say('one-of-kind-not-two', { kind }) }];
}

/** What several claim that only one can have: everybody's but the first's. */
function claimFindings(documents: Documents, wanted: string): SiteFinding[] {
  return documents
    .claiming(wanted)
    .slice(1)
    .flatMap((id) => {
      const doc = documents.get(id);
      if (doc?.kind === 'entry')
        return [{ doc: id, path: '/slug', reason: say('slug-taken', { slug: doc.slug }) }];
      if (doc?.kind === 'component')
        return [
          { doc: id, path: '/name', reason: say('component-name-taken', { name: doc.name }) },
        ];
      return [];
    });
}

/**
 * The paths of a document at which something else may stand. A page made from entries meets the pages straight below
 * the same path, and others that are made from entries there.
 */
function pathsThatMayClash(documents: Documents, doc: Doc): string[] {
  if (doc.kind === 'entry') return pathsOfEntry(documents, doc);
  if (doc.kind !== 'page') return [];
  if (!isPerEntry(doc)) return [doc.path];
  if (documents.claiming(claim.path(doc.path)).length > 1) return pathsOfPage(documents, doc);
  return documents
    .claiming(claim.below(partsOf(doc.path).above))
    .flatMap((id) => docOf(documents, 'page', id)!.path);
}

function pathFindings(documents: Documents, path: string): SiteFinding[] {
  const pages = addressesAt(documents, path, 'everything').map(({ page }) => page);
  return pages.slice(1).map((page, i) => ({
    doc: page.id,
    path: '/path',
    reason: say('path-twice', { one: pages[i]!.name, other: page.name, path }),
  }));
}

function treeFindings(doc: TreeDoc): Finding[] {
  const children = childrenOf(doc.nodes);
  const [top] = children.roots;
  if (top === undefined || children.roots.length !== 1)
    return [{ path: '/nodes', reason: say('many-roots', { many: children.roots.length }) }];
  const count = Object.keys(doc.nodes).length;
  if (count > LARGEST_TREE)
    return [
      {
        path: '/nodes',
        reason: say('too-many-nodes', { many: count, most: LARGEST_TREE }),
      },
    ];
  const findings: Finding[] = [];
  const root = doc.nodes[top]!;
  if (root.kind !== 'element' && root.kind !== 'instance')
    findings.push({
      path: '/nodes',
      reason: say('root-not-placed'),
    });
  const reached = new Set<NodeId>();
  const open: { id: NodeId; depth: number }[] = [{ id: top, depth: 1 }];
  for (let next = open.pop(); next; next = open.pop()) {
    const { id, depth } = next;
    if (depth > DEEPEST_TREE)
      return [
        {
          path: pointer('nodes', id, 'place'),
          reason: say('tree-too-deep', { most: DEEPEST_TREE }),
        },
      ];
    reached.add(id);
    for (const child of children.all(id)) open.push({ id: child, depth: depth + 1 });
  }
  for (const id in doc.nodes) {
    if (!reached.has(id))
      findings.push({
        path: pointer('nodes', id, 'place', 'parent'),
        reason: say('not-below-root'),
      });
    else findings.push(...nodeFindings(doc, id, doc.nodes[id]!));
  }
  return findings;
}

function nodeFindings(doc: TreeDoc, id: NodeId, node: TreeNode): Finding[] {
  const findings: Finding[] = [];
  const at = (...rest: string[]) => pointer('nodes', id, ...rest);
  const parent = node.place.parent === null ? undefined : own(doc.nodes, node.place.parent);
  if (parent?.kind === 'text') findings.push({ path: at('place'), reason: say('in-text') });
  if (parent?.kind === 'element' && isVoid(parent.tag))
    findings.push({ path: at('place'), reason: say('in-void', { tag: parent.tag }) });
  if (node.kind === 'text' && parent?.kind === 'element' && !isVoid(parent.tag))
    if (!takesText(parent.tag))
      findings.push({ path: at('place'), reason: say('no-words', { tag: parent.tag }) });
  if (parent?.kind === 'instance' && node.place.slot === undefined)
    findings.push({ path: at('place'), reason: say('in-no-slot') });
  if (
    node.place.slot !== undefined &&
    parent?.kind !== 'instance' &&
    !(parent?.kind === 'repeat' && node.place.slot === NONE)
  )
    findings.push({ path: at('place', 'slot'), reason: say('slot-where-none') });
  if (node.kind === 'element') {
    if (!TAGS.has(node.tag))
      findings.push({ path: at('tag'), reason: say('no-element', { tag: node.tag }) });
    else if (!takesText(node.tag) && !isVoid(node.tag) && holdsWords(doc, id))
      findings.push({ path: at('tag'), reason: say('no-words', { tag: node.tag }) });
    for (const name in node.attributes) {
      const reason = attributeReason(node.tag, name, node.attributes[name]!);
      if (reason) findings.push({ path: at('attributes', name), reason });
    }
  }
  if (node.kind === 'slot') {
    if (doc.kind !== 'component' || !Object.hasOwn(doc.slots, node.slot))
      findings.push({ path: at('slot'), reason: say('no-slot-of-definition') });
    if (repeatsAround(doc, id).length > 0)
      findings.push({ path: at('place'), reason: say('slot-in-repeat') });
  }
  for (const [where, source] of sourcesOf(node))
    findings.push(
      ...sourceFindings(doc, id, source).map((reason) => ({ path: at(...where), reason })),
    );
  return findings;
}

function holdsWords(doc: TreeDoc, id: NodeId): boolean {
  return childrenOf(doc.nodes)
    .of(id)
    .some((child) => doc.nodes[child]!.kind === 'text');
}

/** The repeats that a node stands in, nearest first. What stands in "none" has no entry. */
export function repeatsAround(doc: TreeDoc, id: NodeId): NodeId[] {
  const found: NodeId[] = [];
  let at = own(doc.nodes, id);
  for (let steps = 0; at && at.place.parent !== null && steps < 1000; steps += 1) {
    const parent: TreeNode | undefined = own(doc.nodes, at.place.parent);
    if (parent?.kind === 'repeat' && at.place.slot !== NONE) found.push(at.place.parent);
    at = parent;
  }
  return found;
}

function sourceFindings(doc: TreeDoc, node: NodeId, source: Source): Said[] {
  return chainOf(source).flatMap((each) => linkFindings(doc, node, each));
}

function linkFindings(doc: TreeDoc, node: NodeId, source: Source): Said[] {
  const reasons: Said[] = [];
  if (source.is === 'property') {
    if (doc.kind !== 'component') reasons.push(say('page-no-properties'));
    else if (!Object.hasOwn(doc.properties, source.property)) reasons.push(say('no-property'));
  }
  if (
    (source.is === 'position' || source.is === 'begins') &&
    !repeatsAround(doc, node).includes(source.repeat)
  )
    reasons.push(say('repeat-not-around'));
  if (source.is === 'field') {
    if (source.from === 'page') {
      if (doc.kind !== 'page') reasons.push(say('entry-by-properties'));
      else if (doc.entries === null) reasons.push(say('page-no-entries'));
    } else if (!repeatsAround(doc, node).includes(source.from.repeat))
      reasons.push(say('repeat-not-around'));
  }
  return reasons;
}

function pageFindings(doc: Extract<Doc, { kind: 'page' }>): Finding[] {
  if (isPerEntry(doc) !== (doc.entries !== null))
    return [{ path: '/path', reason: say('slug-when-entries') }];
  if (isLeafPath(doc.path)) return [{ path: '/path', reason: say('path-of-leaves') }];
  return (['title', 'description', 'image'] as const).flatMap((which) => {
    const given = doc[which];
    const fits = (given ? chainOf(given) : []).every(
      (source) =>
        source.is === 'value' ||
        isMade(source) ||
        (source.is === 'field' && source.from === 'page' && doc.entries !== null),
    );
    return fits ? [] : [{ path: '/' + which, reason: say('page-has-not') }];
  });
}

function componentFindings(doc: ComponentDoc): Finding[] {
  const findings: Finding[] = [];
  const keys = new Set<string>();
  for (const id in doc.properties) {
    const { key, group, default: source } = doc.properties[id]!;
    if (keys.has(key))
      findings.push({ path: pointer('properties', id, 'key'), reason: say('key-taken', { key }) });
    keys.add(key);
    if (group !== null && !Object.hasOwn(doc.groups, group))
      findings.push({
        path: pointer('properties', id, 'group'),
        reason: say('no-group'),
      });
    const reason = defaultReason(doc, id, source);
    if (reason) findings.push({ path: pointer('properties', id, 'default'), reason });
    if (doc.properties[id]!.axis && doc.properties[id]!.type.kind !== 'choice')
      findings.push({
        path: pointer('properties', id, 'axis'),
        reason: say('only-choice-axis'),
      });
  }
  for (const rule in doc.rules)
    for (const node in doc.rules[rule]!.patch)
      for (const [member, reason] of patchFindings(doc, doc.rules[rule]!, node))
        findings.push({ path: pointer('rules', rule, 'patch', node, member), reason });
  for (const [path, source, node] of ruleSources(doc.rules))
    for (const reason of sourceFindings(doc, node, source))
      findings.push({ path: pointer(...path), reason });
  return findings;
}

/** Why a property cannot begin like this: a value, or worked out from other properties that are not worked out from it. */
function defaultReason(doc: ComponentDoc, property: string, source: Source): Said | null {
  if (source.is === 'value') return null;
  const isOwn = (each: Source) =>
    each.is === 'value' ||
    isMade(each) ||
    (each.is === 'property' && own(doc.properties, each.property) !== undefined);
  if (!isMade(source) || !chainOf(source).every(isOwn)) return say('default-no-value');
  const seen = new Set<string>();
  const open: Source[] = [source];
  for (let at = open.pop(); at !== undefined; at = open.pop())
    for (const each of chainOf(at)) {
      if (each.is !== 'property' || seen.has(each.property)) continue;
      if (each.property === property) return say('works-out-itself');
      seen.add(each.property);
      const next = own(doc.properties, each.property)?.default;
      if (next && isMade(next)) open.push(next);
    }
  return null;
}

/** Why an element cannot have an attribute, or not with the text that is written for it. */
function attributeReason(tag: string, name: string, source: Source): Said | null {
  if (!attributeType(tag, name)) return say('takes-no', { tag, name });
  const text = source.is === 'value' && source.type === 'text' ? source.value : null;
  return text ? attributeFault(tag, name, text) : null;
}

/** What rules for a state of who visits cannot say: nothing but declarations changes with it. */
const BESIDE_DECLARATIONS = [
  'attributes',
  'text',
  'values',
  'shown',
  'tag',
  'theme',
  'shared',
] as const;

/** What a rule cannot say of a node: each with the member that says it. Of a node that is gone it may say anything. */
function patchFindings(doc: ComponentDoc, { when, patch }: Rule, id: NodeId): [string, Said][] {
  const found: [string, Said][] = [];
  const node = own(doc.nodes, id);
  const { attributes, values, style, shown, text, tag, theme, shared } = patch[id]!;
  if (when.pseudo)
    for (const member of BESIDE_DECLARATIONS)
      if (patch[id]![member] !== undefined) found.push([member, say('state-rule-declares')]);
  if (!node) return found;
  if (attributes && node.kind !== 'element')
    found.push(['attributes', say('only-element-attributes')]);
  if (attributes && node.kind === 'element') {
    for (const name in attributes) {
      const reason = attributeReason(node.tag, name, attributes[name]!);
      if (reason) found.push(['attributes', reason]);
    }
  }
  if (text && node.kind !== 'text') found.push(['text', say('only-text-has-words')]);
  if (values && node.kind !== 'instance') found.push(['values', say('only-instance-values')]);
  if (style && node.kind !== 'element' && node.kind !== 'instance')
    found.push(['style', say('only-placed-style')]);
  const isPlaced = node.kind === 'element' || node.kind === 'instance';
  if (theme !== undefined && !isPlaced) found.push(['theme', say('only-placed-style')]);
  if (shared && !isPlaced) found.push(['shared', say('only-placed-style')]);
  if (tag !== undefined && node.kind !== 'element') found.push(['tag', say('tag-of-element')]);
  if (tag !== undefined && node.kind === 'element' && !tagFamily(node.tag).includes(tag))
    found.push(['tag', say('tag-of-another-family', { tag, family: [...tagFamily(node.tag)] })]);
  if (shown && node.kind === 'repeat') found.push(['shown', say('always-shown')]);
  return found;
}
