import {
  mapBlock,
  mapDeclared,
  mapDefinition,
  mapNode,
  mapSource,
  mapType,
  mapTyped,
  own,
  pointer,
  type Doc,
  type DocId,
  type Naming,
  type NodeId,
  type TreeNode,
} from '../model';

/** How one thing uses another. */
export type UseKind =
  | 'places'
  | 'sets'
  | 'shows'
  | 'links'
  | 'lists'
  | 'reads'
  | 'stands'
  | 'styles';

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
  const on = noting(use);
  switch (doc.kind) {
    case 'page':
      if (doc.entries) use('stands', doc.entries);
      for (const source of [doc.title, doc.description, doc.image])
        if (source) mapSource(source, on);
      break;
    case 'component':
      mapDefinition({ ...doc, nodes: {} }, on);
      // What a rule sets is set on the component of the node.
      for (const id in doc.rules)
        for (const node in doc.rules[id]!.patch) {
          const stored = own(doc.nodes, node);
          if (stored?.kind === 'instance')
            for (const property in doc.rules[id]!.patch[node]!.values)
              use('sets', member(stored.component, property));
        }
      break;
    case 'entry':
      use('stands', doc.type);
      for (const field in doc.values) mapTyped(doc.values[field]!, on);
      break;
    case 'type':
      for (const id in doc.fields) mapType(doc.fields[id]!.type, on);
      break;
    case 'tags':
      for (const tag in doc.tags) mapBlock(doc.tags[tag]!, on);
      break;
    case 'tokens':
      for (const id in doc.tokens) mapDeclared(doc.tokens[id]!.value, on);
      for (const { values } of Object.values(doc.themes ?? {}))
        for (const id in values) mapDeclared(values[id]!, on);
      break;
    case 'style':
      if (doc.base) use('stands', doc.base);
      mapBlock(doc.style, on);
      break;
    case 'site':
      for (const id in doc.fonts) use('shows', doc.fonts[id]!.asset);
      if (doc.icon !== undefined) use('shows', doc.icon);
      if (doc.surround) use('stands', doc.surround);
      if (doc.theme !== undefined) use('styles', pointer('themes', doc.theme));
      break;
    case 'asset':
  }
  return uses;
}

/** The name of a member of a document, as uses are kept under. */
export function member(doc: DocId, id: string): string {
  return `${doc}#${id}`;
}

/** What one node uses. */
export function nodeUses(from: DocId, id: NodeId, node: TreeNode): Use[] {
  const uses: Use[] = [];
  mapNode(
    node,
    noting((kind, to) => uses.push({ from, node: id, kind, to })),
  );
  return uses;
}

/** Notes what is named, in the words of uses, and leaves it as it is. */
function noting(use: (kind: UseKind, to: string) => void): Naming {
  return {
    named(named) {
      switch (named.is) {
        case 'component':
          if (named.by === 'instance') use('places', named.id);
          break;
        case 'asset':
          use('shows', named.id);
          break;
        case 'entry':
        case 'page':
          use('links', named.id);
          break;
        case 'type':
          use(named.by === 'query' ? 'lists' : 'reads', named.id);
          break;
        case 'style':
          use('styles', named.id);
          break;
        case 'theme':
          use('styles', pointer('themes', named.id));
          break;
        case 'token':
          use('styles', pointer('tokens', named.id));
          break;
        case 'property':
          use('sets', member(named.of, named.id));
          break;
        // What is said of a slot or a part, or at a width, is said of the instance or the element.
        case 'slot':
        case 'part':
        case 'width':
      }
      return named.id;
    },
    path(_, path) {
      for (const field of path) use('reads', pointer('fields', field));
      return [...path];
    },
  };
}
