import {
  blocksOfNode,
  chainOf,
  own,
  pointer,
  queriedType,
  ruleSources,
  sourcesOf,
  type Block,
  type ComponentDoc,
  type Doc,
  type DocId,
  type LinkValue,
  type NodeId,
  type Patch,
  type Ref,
  type RichPiece,
  type Source,
  type TreeNode,
  type Typed,
} from '../model';

/** How one thing uses another. */
export type UseKind =
  'places' | 'sets' | 'shows' | 'links' | 'lists' | 'reads' | 'stands' | 'styles';

/**
 * One use: this node of this document (`''` for the document itself) uses that document, or the member
 * of it written behind `#` (a property, a field).
 */
export interface Use {
  readonly from: DocId;
  readonly node: NodeId;
  readonly kind: UseKind;
  readonly to: string;
}

/** Everything a document uses. */
export function usesOf(doc: Doc): Use[] {
  const uses = documentUses(doc);
  if (doc.kind === 'page' || doc.kind === 'component')
    for (const node in doc.nodes) uses.push(...nodeUses(doc.id, node, doc.nodes[node]!));
  return uses;
}

/** What a document uses apart from its nodes. */
export function documentUses(doc: Doc): Use[] {
  const uses: Use[] = [];
  const use = (kind: UseKind, to: string) => uses.push({ from: doc.id, node: '', kind, to });
  switch (doc.kind) {
    case 'page':
      if (doc.entries) use('stands', doc.entries);
      for (const source of [doc.title, doc.description, doc.image])
        if (source) sourceUses(source, use);
      break;
    case 'component':
      for (const id in doc.properties) sourceUses(doc.properties[id]!.default, use);
      for (const id in doc.rules)
        for (const node in doc.rules[id]!.patch)
          patchUses(doc, node, doc.rules[id]!.patch[node]!, use);
      for (const [, source] of ruleSources(doc.rules)) sourceUses(source, use);
      break;
    case 'entry':
      use('stands', doc.type);
      for (const field in doc.values) {
        const typed = doc.values[field]!;
        valueUses(typed, use);
      }
      break;
    case 'type':
      for (const id in doc.fields) {
        const { type } = doc.fields[id]!;
        if (type.kind === 'entry' && type.of) use('reads', type.of);
      }
      break;
    case 'tags':
      for (const tag in doc.tags) blockUses(doc.tags[tag]!, use);
      break;
    case 'tokens':
      for (const id in doc.tokens) refUses(doc.tokens[id]!.value.refs, use);
      for (const { values } of Object.values(doc.themes ?? {}))
        for (const id in values) refUses(values[id]!.refs, use);
      break;
    case 'style':
      if (doc.base) use('stands', doc.base);
      blockUses(doc.style, use);
      break;
    case 'site':
      for (const id in doc.fonts) use('shows', doc.fonts[id]!.asset);
      if (doc.surround) use('stands', doc.surround);
      if (doc.theme !== undefined) use('styles', pointer('themes', doc.theme));
      break;
    case 'asset':
  }
  return uses;
}

/** What a rule uses for a node, its sources apart: tokens, and the properties that it gives values to. */
function patchUses(
  doc: ComponentDoc,
  id: NodeId,
  { style = {}, values = {} }: Patch,
  use: (kind: UseKind, to: string) => void,
): void {
  blockUses(style, use);
  const node = own(doc.nodes, id);
  if (node?.kind === 'instance')
    for (const property in values) use('sets', member(node.component, property));
}

/** What one node uses. */
export function nodeUses(from: DocId, id: NodeId, node: TreeNode): Use[] {
  const uses: Use[] = [];
  const use = (kind: UseKind, to: string) => uses.push({ from, node: id, kind, to });
  if (node.kind === 'instance') {
    use('places', node.component);
    for (const property in node.values) use('sets', member(node.component, property));
  }
  const listed = node.kind === 'repeat' ? queriedType(node.query) : undefined;
  if (listed !== undefined) use('lists', listed);
  if (node.kind === 'element' || node.kind === 'instance') {
    for (const style of Object.keys(node.shared ?? {}).sort()) use('styles', style);
    for (const [, block] of blocksOfNode(node)) blockUses(block, use);
    if (node.theme !== undefined) use('styles', pointer('themes', node.theme));
  }
  for (const [, source] of sourcesOf(node)) sourceUses(source, use);
  return uses;
}

/** The name of a member of a document, as uses are kept under. */
export function member(doc: DocId, id: string): string {
  return `${doc}#${id}`;
}

/** The tokens that declarations use. */
function blockUses(block: Block, use: (kind: UseKind, to: string) => void): void {
  for (const key in block) refUses(block[key]!.refs, use);
}

function refUses(
  refs: Readonly<Record<string, Ref>> | undefined,
  use: (kind: UseKind, to: string) => void,
): void {
  for (const name in refs) {
    const ref = refs[name]!;
    if ('token' in ref) use('styles', pointer('tokens', ref.token));
  }
}

function sourceUses(source: Source, use: (kind: UseKind, to: string) => void): void {
  for (const each of chainOf(source)) sourceUse(each, use);
}

function sourceUse(source: Source, use: (kind: UseKind, to: string) => void): void {
  if (source.is === 'field')
    for (const field of source.path) use('reads', pointer('fields', field));
  if (source.is === 'value') valueUses(source, use);
}

/** What a value names, in the words of uses: what it shows, where it leads, what it looks like. */
export function usesOfValue(typed: Typed): { readonly kind: UseKind; readonly to: string }[] {
  const uses: { kind: UseKind; to: string }[] = [];
  valueUses(typed, (kind, to) => uses.push({ kind, to }));
  return uses;
}

/** What a value itself names: what it shows and where it leads, in a list also what its records do. */
function valueUses(typed: Typed, use: (kind: UseKind, to: string) => void): void {
  if (typed.value === null) return;
  if (typed.type === 'image') use('shows', typed.value.asset);
  if (typed.type === 'entry') use('links', typed.value);
  if (typed.type === 'link') linkUses(typed.value, use);
  if (typed.type === 'video') {
    use('shows', typed.value.asset);
    if (typed.value.poster !== undefined) use('shows', typed.value.poster);
  }
  if (typed.type === 'style') use('styles', typed.value);
  if (typed.type === 'theme') use('styles', pointer('themes', typed.value));
  if (typed.type === 'colour' || typed.type === 'length')
    if (typeof typed.value === 'object' && 'token' in typed.value)
      use('styles', pointer('tokens', typed.value.token));
  if (typed.type === 'rich') for (const piece of typed.value) pieceUses(piece, use);
  if (typed.type === 'list')
    for (const { values } of typed.value)
      for (const field in values) valueUses(values[field]!, use);
}

function linkUses(link: LinkValue, use: (kind: UseKind, to: string) => void): void {
  if (link.to !== 'page') return;
  use('links', link.page);
  if (link.entry) use('links', link.entry);
}

function pieceUses(piece: RichPiece, use: (kind: UseKind, to: string) => void): void {
  if (typeof piece === 'string') return;
  if (piece.link) linkUses(piece.link, use);
  if (piece.style !== undefined) use('styles', piece.style);
  for (const child of piece.children) pieceUses(child, use);
}
