import { Type, type Static } from '@sinclair/typebox';
import {
  AssetDoc,
  childrenOf,
  DEEPEST_TREE,
  invariantFindings,
  isTooDeep,
  LARGEST_TREE,
  ComponentDoc,
  docOf,
  type Documents,
  FORMAT,
  ID_PATTERN,
  mapBlock,
  mapDeclared,
  mapDefinition,
  mapNode,
  mapType,
  type Named,
  type Naming,
  own,
  queriedType,
  repeatsAround,
  schemaFindings,
  StyleDoc,
  Tree,
  treeDocOf,
  TokensDoc,
  TypeDoc,
  withDescendants,
  type EntryDoc,
  type NodeId,
  type TreeNode,
} from '../model';
import { topmost } from '../edit';

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
  if (isTooDeep(value) || schemaFindings(Clip, value).length > 0) return undefined;
  const clip = value as Clip;
  return isWhole(clip) && Object.values(clip.components).every(isDefinition) ? clip : undefined;
}

/** Whether each node of a clip stands in another of it, up to one of its roots, and none too deep. */
function isWhole({ roots, nodes }: Clip): boolean {
  if (!roots.every((id) => own(nodes, id))) return false;
  const found = new Set<NodeId>();
  const children = childrenOf(nodes);
  const open = roots.map((id) => ({ id, depth: 1 }));
  for (let next = open.pop(); next; next = open.pop()) {
    const { id, depth } = next;
    if (found.has(id) || depth > DEEPEST_TREE) return false;
    found.add(id);
    for (const child of children.all(id)) open.push({ id: child, depth: depth + 1 });
  }
  return found.size === Object.keys(nodes).length && found.size <= LARGEST_TREE;
}

/** Whether a definition that comes along is sound by itself. */
function isDefinition(doc: ComponentDoc): boolean {
  return invariantFindings(doc).length === 0;
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

  /** Notes what is named, and leaves it as it is. */
  private readonly on: Naming = {
    named: (named) => {
      this.name(named);
      return named.id;
    },
  };

  node(node: TreeNode): void {
    mapNode(node, this.on);
  }

  type(id: string): void {
    const doc = docOf(this.documents, 'type', id);
    if (!doc || own(this.found.types, id)) return;
    this.found.types[id] = doc;
    for (const { type } of Object.values(doc.fields)) mapType(type, this.on);
  }

  component(id: string): void {
    const doc = docOf(this.documents, 'component', id);
    if (!doc || own(this.found.components, id)) return;
    this.found.components[id] = doc;
    mapDefinition(doc, this.on);
  }

  private name(named: Named): void {
    switch (named.is) {
      case 'component':
        // What a slot lets in need not come along.
        if (named.by === 'instance') this.component(named.id);
        break;
      case 'style':
        this.style(named.id);
        break;
      case 'theme':
        this.theme(named.id);
        break;
      case 'token':
        this.token(named.id);
        break;
      case 'width': {
        const max = own(this.documents.site.widths, named.id)?.max;
        if (max !== undefined) this.found.widths[named.id] = { max };
        break;
      }
      case 'asset': {
        const asset = docOf(this.documents, 'asset', named.id);
        if (asset) this.found.assets[named.id] = asset;
        break;
      }
      case 'entry':
        this.entry(named.id);
        break;
      case 'page': {
        const page = docOf(this.documents, 'page', named.id);
        if (page) this.found.pages[named.id] = { path: page.path };
        break;
      }
      case 'type':
        this.type(named.id);
        break;
      // Those of a component come with it.
      case 'property':
      case 'slot':
      case 'part':
    }
  }

  private entry(id: string): void {
    const entry = docOf(this.documents, 'entry', id);
    if (!entry) return;
    this.found.entryNames[id] = { type: entry.type, slug: entry.slug };
    this.type(entry.type);
  }

  private style(id: string): void {
    const style = docOf(this.documents, 'style', id);
    if (!style || own(this.found.styles, id)) return;
    this.found.styles[id] = style;
    mapBlock(style.style, this.on);
    if (style.base !== null) this.style(style.base);
  }

  private token(id: string): void {
    const token = own(this.documents.tokens.tokens, id);
    if (!token || own(this.found.tokens, id)) return;
    this.found.tokens[id] = token;
    mapDeclared(token.value, this.on);
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
