import {
  docOf,
  documentFindings,
  documentFindingsAt,
  invariantFindings,
  own,
  pointer,
  siteFindings,
  tokensOf,
  type Block,
  type Doc,
  Documents,
  type Finding,
  type NodeId,
  type TokensDoc,
} from '../../model';
import { saidText, say, type Said } from '../../said';
import { blockFindings } from '../../style';
import { blocksOf } from './blocks';
import type { Change } from '../changes';
import { documentWord } from '../names';
import type { DocumentFinding } from './document-finding';
import { nestingFindings } from './nesting';
import { declaredWith, tokensFindings } from './tokens';
import { leads, nodeReferences, referencesOf, type Reference } from './references';

/** What an edit touched: by document, the tokens of the pointers it wrote to. */
type Touched = ReadonlyMap<string, readonly (readonly string[])[]>;

/**
 * What an edit would break: what is not sound after it and was before. What was not sound before (a site that an
 * earlier version left so) stands in the way of nothing else. Only what was touched is looked at, and what
 * refers to it, schemas first, so that every later check can rely on shapes.
 */
export function newFindings(
  before: Documents,
  after: Documents,
  changes: readonly Change[],
): DocumentFinding[] {
  const touched = touchedBy(changes);
  for (const check of CHECKS) {
    const found = check(after, touched, before);
    if (found.length === 0) continue;
    const known = new Set(check(before, touched, after).map(findingKey));
    const fresh = found.filter((finding) => !known.has(findingKey(finding)));
    if (fresh.length > 0) return fresh;
  }
  return [];
}

/** Every finding about documents that come new together: a site that is loaded. */
export function findingsOf(documents: Documents): DocumentFinding[] {
  return newFindings(
    Documents.none,
    documents,
    [...documents].map((doc) => ({ doc: doc.id, path: '', now: doc })),
  );
}

function findingKey({ doc, path, reason }: DocumentFinding): string {
  return `${doc} ${path} ${saidText(reason)}`;
}

function touchedBy(changes: readonly Change[]): Touched {
  const touched = new Map<string, string[][]>();
  for (const { doc, path } of changes) {
    const list = touched.get(doc);
    if (list) list.push(tokensOf(path));
    else touched.set(doc, [tokensOf(path)]);
  }
  return touched;
}

/** In the order in which one may rely on the other. Each looks at one state; `other` is the one beside it. */
const CHECKS: readonly ((
  documents: Documents,
  touched: Touched,
  other: Documents,
) => DocumentFinding[])[] = [
  schemas,
  invariants,
  declarations,
  references,
  betweenDocuments,
  nesting,
];

function schemas(documents: Documents, touched: Touched, other: Documents): DocumentFinding[] {
  const findings: DocumentFinding[] = [];
  for (const [id, paths] of touched) {
    const doc = documents.get(id);
    if (!doc) continue;
    const found = other.get(id) ? documentFindingsAt(doc, paths) : documentFindings(doc);
    for (const finding of found) findings.push({ doc: id, ...finding });
    if (doc.id !== id) findings.push({ doc: id, path: '/id', reason: say('not-its-id') });
  }
  return findings;
}

function invariants(documents: Documents, touched: Touched): DocumentFinding[] {
  return [...touched].flatMap(([id, paths]) => {
    const doc = documents.get(id);
    return doc
      ? invariantFindings(doc, onlyNodes(paths)).map((finding) => ({ doc: id, ...finding }))
      : [];
  });
}

/** The nodes that were touched, where nothing else was and none moved, came or went: a tree stays a tree. */
function onlyNodes(paths: readonly (readonly string[])[]): ReadonlySet<NodeId> | undefined {
  const nodes = new Set<NodeId>();
  for (const [member, node, inner] of paths) {
    if (member !== 'nodes' || node === undefined || inner === undefined || inner === 'place')
      return undefined;
    nodes.add(node);
  }
  return nodes;
}

function declarations(documents: Documents, touched: Touched, other: Documents): DocumentFinding[] {
  const findings: DocumentFinding[] = [];
  for (const [id, paths] of touched) {
    const doc = documents.get(id);
    const blocks = new Map<string, Block>();
    if (!doc) continue;
    for (const path of paths)
      for (const { where, block } of blocksOf(doc, path)) blocks.set(pointer(...where), block);
    for (const [where, block] of blocks)
      for (const { path, reason } of [...blockFindings(block), ...missingTokens(documents, block)])
        findings.push({ doc: id, path: where + path, reason });
    if (doc.kind === 'tokens')
      findings.push(
        ...tokensFindings(doc).map((finding) => ({ doc: id, ...finding })),
        ...withoutToken(documents, other, doc),
      );
  }
  return findings;
}

/** The declarations of a block that name a token that is not there. */
function missingTokens(documents: Documents, block: Block): Finding[] {
  return Object.keys(block).flatMap((key) =>
    Object.values(block[key]!.refs ?? {}).flatMap((ref) =>
      'token' in ref && !own(documents.tokens.tokens, ref.token)
        ? [{ path: pointer(key), reason: say('gone-token-here') }]
        : [],
    ),
  );
}

/** What is declared with tokens that went. */
function withoutToken(
  documents: Documents,
  other: Documents,
  { id, tokens }: TokensDoc,
): DocumentFinding[] {
  const before = docOf(other, 'tokens', id)?.tokens ?? {};
  const went = new Set(Object.keys(before).filter((id) => !own(tokens, id)));
  if (went.size === 0) return [];
  return declaredWith(documents, went).map(({ doc, where }) => ({
    doc,
    path: pointer(...where),
    reason: say('gone-token-here'),
  }));
}

/** What points at nothing: from what was touched, and to documents that went. */
function references(documents: Documents, touched: Touched, other: Documents): DocumentFinding[] {
  const findings: DocumentFinding[] = [];
  const gone = new Set<string>();
  for (const [id, paths] of touched) {
    const doc = documents.get(id);
    if (other.get(id) && other.get(id)?.kind !== doc?.kind) gone.add(id);
    if (!doc) continue;
    for (const reference of touchedReferences(doc, paths))
      if (!leads(documents, reference))
        findings.push({ doc: id, path: reference.path, reason: reference.reason });
  }
  if (gone.size === 0) return findings;
  const holders = new Map<string, string[]>();
  for (const doc of documents)
    for (const reference of referencesOf(doc))
      if (gone.has(reference.to) && !leads(documents, reference))
        holders.set(reference.to, [...(holders.get(reference.to) ?? []), doc.id]);
  for (const [to, by] of holders)
    findings.push({ doc: to, path: '', reason: stillUsed(documents, other.get(to), by) });
  return findings;
}

function touchedReferences(doc: Doc, paths: readonly (readonly string[])[]): readonly Reference[] {
  if (doc.kind !== 'page' && doc.kind !== 'component') return referencesOf(doc);
  const nodes = new Set<string>();
  for (const [member, node] of paths) {
    if (member === 'nodes' && node !== undefined) nodes.add(node);
    else if (member === undefined || member === 'nodes' || member === 'entries')
      return referencesOf(doc);
  }
  return [...nodes].flatMap((node) => nodeReferences(doc, node));
}

function stillUsed(documents: Documents, doc: Doc | undefined, by: readonly string[]): Said {
  const places = [...new Set(by)].map((id) => documentWord(documents.get(id)));
  return say('still-used', {
    what: documentWord(doc),
    places: places.slice(0, NAMED_PLACES),
    more: Math.max(0, places.length - NAMED_PLACES),
  });
}

/** How many of the places that use something are named; the others are counted. */
const NAMED_PLACES = 3;

/** What only holds between documents, when one came, went, or changed what others may not have too. */
function betweenDocuments(documents: Documents, touched: Touched): DocumentFinding[] {
  const shared = new Set(['path', 'name', 'slug', 'draft', 'entries', 'type', 'kind']);
  const concerned = [...touched.values()].some((paths) =>
    paths.some(
      ([member, inner]) => member === undefined || (shared.has(member) && inner === undefined),
    ),
  );
  return concerned ? siteFindings(documents, touched.keys()) : [];
}

/** The members of a node on which it depends where it may stand. */
const NESTS = new Set(['place', 'tag', 'chosen', 'component', 'slot', 'rich']);

/** Whether a property of a component chooses tags. */
function choosesTag(documents: Documents, doc: string, property: string | undefined): boolean {
  const { properties = {} } = docOf(documents, 'component', doc) ?? {};
  return property !== undefined && own(properties, property)?.type.kind === 'tag';
}

/** Whether a rule of a component gives something another tag. */
function givesTag(documents: Documents, doc: string, rule: string | undefined): boolean {
  const patches = own(docOf(documents, 'component', doc)?.rules ?? {}, rule ?? '')?.patch ?? {};
  return Object.values(patches).some(({ tag }) => tag !== undefined);
}

/** Which element would stand where it may not, when something came, moved or became another. */
function nesting(documents: Documents, touched: Touched, other: Documents): DocumentFinding[] {
  const moved: string[] = [];
  const limited: string[] = [];
  for (const [id, paths] of touched) {
    if (
      paths.some(
        ([member, name, inner]) =>
          member === undefined ||
          (member === 'properties' && choosesTag(documents, id, name)) ||
          (member === 'rules' && givesTag(documents, id, name)) ||
          (member === 'nodes' && (inner === undefined || NESTS.has(inner))),
      )
    )
      moved.push(id);
    if (paths.some(([member]) => member === undefined || member === 'slots')) limited.push(id);
  }
  return moved.length + limited.length === 0
    ? []
    : nestingFindings(documents, moved, limited, other);
}
