import { Type, type Static } from '@sinclair/typebox';
import {
  AssetDoc,
  ancestorsOf,
  blocksOfNode,
  chainOf,
  ComponentDoc,
  docOf,
  type Documents,
  FORMAT,
  ID_PATTERN,
  own,
  queriedType,
  repeatsAround,
  rootOf,
  schemaFindings,
  StyleDoc,
  type Source,
  sourcesOf,
  definitionSources,
  Tree,
  treeDocOf,
  TokensDoc,
  TypeDoc,
  tokensOf,
  withDescendants,
  type Block,
  type EntryDoc,
  type NodeId,
  type TreeNode,
  type Typed,
} from '../../model';
import { usesOfValue } from '../../reach';
import { keyParts } from '../../style';

const Id = Type.String({ pattern: ID_PATTERN });
const exact = { additionalProperties: false };
const byId = <S extends ReturnType<typeof Type.Object>>(schema: S) =>
  Type.Record(Id, schema, exact);

/**
 * What was copied, as it lies on the clipboard: nodes as they are stored, and beside them everything they name, so that
 * another site can look for what it has of the same kind. An open form: JSON, described by this schema.
 */
export const Clip = Type.Object(
  {
    sormet: Type.Literal('clip'),
    format: Type.Literal(FORMAT),
    /** The site and the document it was copied from. */
    site: Type.String({ maxLength: 120 }),
    doc: Id,
    /** The content type whose entries the page was made from. */
    entries: Type.Union([Id, Type.Null()]),
    /** Of the entry that was looked at, what could have been read. */
    entry: Type.Union([Type.Object({ values: Type.Record(Id, Type.Unknown()) }), Type.Null()]),
    roots: Type.Array(Id, { minItems: 1, maxItems: 500 }),
    nodes: Tree,
    /** The content types that the repeats around went over. */
    around: Type.Record(Id, Id, exact),
    widths: byId(Type.Object({ max: Type.Integer() }, exact)),
    tokens: TokensDoc.properties.tokens,
    /** The themes that begin somewhere in it, by name: what a theme does each site says itself. */
    themes: byId(Type.Object({ name: Type.String() }, exact)),
    styles: byId(StyleDoc),
    /** The definitions of what was placed, with those that they place. */
    components: byId(ComponentDoc),
    assets: byId(AssetDoc),
    types: byId(TypeDoc),
    entryNames: byId(Type.Object({ type: Id, slug: Type.String() }, exact)),
    pages: byId(Type.Object({ path: Type.String() }, exact)),
  },
  exact,
);
export type Clip = Static<typeof Clip>;

/** A clip that was read from somewhere; nothing when it is none, or one of another version. */
export function readClip(text: string): Clip | undefined {
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch {
    // Whatever else lies on the clipboard is no clip.
    return undefined;
  }
  return schemaFindings(Clip, value).length === 0 ? (value as Clip) : undefined;
}

/** Those of some nodes that stand in none of the others, in the order of the document. */
export function topmost(tree: Tree, nodes: readonly NodeId[]): NodeId[] {
  const chosen = new Set(nodes.filter((id) => own(tree, id)));
  const inside = (id: NodeId) => ancestorsOf(tree, id).some((above) => chosen.has(above));
  return withDescendants(tree, rootOf(tree)).filter((id) => chosen.has(id) && !inside(id));
}

/**
 * What is copied when these nodes of a document are.
 * @param site by which id the server knows the site
 * @param entry the entry that is looked at, on a page made from entries
 * @returns nothing when none of them is there
 */
export function clipOf(
  documents: Documents,
  site: string,
  doc: string,
  chosen: readonly NodeId[],
  entry?: EntryDoc,
): Clip | undefined {
  const tree = treeDocOf(documents, doc);
  const roots = tree ? topmost(tree.nodes, chosen) : [];
  if (!tree || roots.length === 0) return undefined;
  const gathered = new Gathering(documents);
  const nodes: Record<NodeId, TreeNode> = {};
  for (const root of roots)
    for (const id of withDescendants(tree.nodes, root)) nodes[id] = tree.nodes[id]!;
  if (tree.kind === 'page' && tree.entries !== null) gathered.type(tree.entries);
  const around: Record<string, string> = {};
  for (const repeat of roots.flatMap((root) => repeatsAround(tree, root))) {
    const stored = tree.nodes[repeat]!;
    const type = stored.kind === 'repeat' ? queriedType(stored.query) : undefined;
    if (type === undefined) continue;
    around[repeat] = type;
    gathered.type(type);
  }
  for (const id in nodes) gathered.node(nodes[id]!);
  // What stood in for a property is its default: elsewhere there is no such property.
  if (tree.kind === 'component') gathered.component(tree.id);
  return {
    sormet: 'clip',
    format: FORMAT,
    site,
    doc,
    entries: tree.kind === 'page' ? tree.entries : null,
    entry: entry ? { values: entry.values } : null,
    roots,
    nodes,
    around,
    ...gathered.found,
  };
}

type Found = Pick<
  Clip,
  | 'widths'
  | 'tokens'
  | 'themes'
  | 'styles'
  | 'components'
  | 'assets'
  | 'types'
  | 'entryNames'
  | 'pages'
>;

/** Everything that nodes name, gathered once each. */
class Gathering {
  readonly found: Found = {
    widths: {},
    tokens: {},
    themes: {},
    styles: {},
    components: {},
    assets: {},
    types: {},
    entryNames: {},
    pages: {},
  };

  constructor(private readonly documents: Documents) {}

  node(node: TreeNode): void {
    for (const [, source] of sourcesOf(node)) this.source(source);
    if (node.kind === 'instance') this.component(node.component);
    if (node.kind === 'element' || node.kind === 'instance') {
      for (const [, block] of blocksOfNode(node)) this.block(block);
      for (const style in node.shared) this.style(style);
      if (node.theme !== undefined) this.theme(node.theme);
    }
    const type = node.kind === 'repeat' ? queriedType(node.query) : undefined;
    if (type !== undefined) this.type(type);
  }

  type(id: string): void {
    const doc = docOf(this.documents, 'type', id);
    if (!doc || own(this.found.types, id)) return;
    this.found.types[id] = doc;
    for (const { type } of Object.values(doc.fields))
      if (type.kind === 'entry' && type.of !== undefined) this.type(type.of);
  }

  component(id: string): void {
    const doc = docOf(this.documents, 'component', id);
    if (!doc || own(this.found.components, id)) return;
    this.found.components[id] = doc;
    for (const node of Object.values(doc.nodes)) this.node(node);
    for (const [, source] of definitionSources(doc)) this.source(source);
    for (const { patch } of Object.values(doc.rules))
      for (const { style } of Object.values(patch)) if (style) this.block(style);
    for (const property of Object.values(doc.properties)) {
      this.source(property.default);
      if (property.type.kind === 'entry' && property.type.of !== undefined)
        this.type(property.type.of);
    }
  }

  private source(source: Source): void {
    for (const each of chainOf(source)) {
      if (each.is !== 'value') continue;
      const { is: _, whenEmpty: __, ...typed } = each;
      for (const { to } of usesOfValue(typed as Typed)) this.named(to);
    }
  }

  /** What a value names: a document by its id, a token or a theme by a pointer into theirs. */
  private named(to: string): void {
    const doc = this.documents.get(to);
    const [record, id = ''] = to.startsWith('/') ? tokensOf(to) : [];
    if (record === 'tokens') this.token(id);
    else if (record === 'themes') this.theme(id);
    else if (doc?.kind === 'asset') this.asset(to);
    else if (doc?.kind === 'entry') this.entry(to);
    else if (doc?.kind === 'style') this.style(to);
    else if (doc?.kind === 'page') this.found.pages[to] = { path: doc.path };
  }

  private entry(id: string): void {
    const entry = docOf(this.documents, 'entry', id);
    if (!entry) return;
    this.found.entryNames[id] = { type: entry.type, slug: entry.slug };
    this.type(entry.type);
  }

  private asset(id: string): void {
    const asset = docOf(this.documents, 'asset', id);
    if (asset) this.found.assets[id] = asset;
  }

  private style(id: string): void {
    const style = docOf(this.documents, 'style', id);
    if (!style || own(this.found.styles, id)) return;
    this.found.styles[id] = style;
    this.block(style.style);
    if (style.base !== null) this.style(style.base);
  }

  private block(block: Block): void {
    const { widths } = this.documents.site;
    for (const key in block) {
      const { width } = keyParts(key);
      const max = own(widths, width)?.max;
      if (max !== undefined) this.found.widths[width] = { max };
      this.refs(block[key]!.refs);
    }
  }

  private refs(refs: Block[string]['refs']): void {
    for (const ref of Object.values(refs ?? {})) {
      if ('source' in ref) {
        this.source(ref.source);
        continue;
      }
      this.token(ref.token);
    }
  }

  private token(id: string): void {
    const token = own(this.documents.tokens.tokens, id);
    if (!token || own(this.found.tokens, id)) return;
    this.found.tokens[id] = token;
    this.refs(token.value.refs);
  }

  private theme(id: string): void {
    const theme = own(this.documents.tokens.themes ?? {}, id);
    if (theme) this.found.themes[id] = { name: theme.name };
  }
}

/** The words of what was copied, for programs that know nothing of clips. */
export function wordsOf({ nodes }: Clip): string {
  return Object.values(nodes)
    .flatMap((node) => {
      const sources =
        node.kind === 'text'
          ? [node.text]
          : node.kind === 'instance'
            ? Object.values(node.values)
            : [];
      return sources.flatMap((source) =>
        source.is === 'value' && source.type === 'text' && source.value ? [source.value] : [],
      );
    })
    .join('\n');
}
