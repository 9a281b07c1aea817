import {
  docOf,
  inOrder,
  own,
  repeatsAround,
  type DocId,
  type Documents,
  type Field,
  type NodeId,
  type Query,
  type Source,
  type SpecOf,
  type TreeDoc,
} from '../../model';

/** What records are called and which fields they have: entries of a content type, or the records of a list. */
export interface Records {
  readonly name: string;
  readonly plural: string;
  /** The field by which people know one. */
  readonly title: string;
  readonly fields: Readonly<Record<string, Field>>;
}

/** A list, of records or of entries, that can be repeated at a place: a property of the definition, or a field of an entry that is read there. */
export interface ListAround {
  readonly label: string;
  readonly source: Source;
  readonly type: SpecOf<'list'> | SpecOf<'entries'>;
}

/** The lists that can be read where a node stands: those of the definition, of the page's entry, of the entries around. */
export function listsAround(documents: Documents, tree: TreeDoc, node: NodeId): ListAround[] {
  const found: ListAround[] = [];
  if (tree.kind === 'component')
    for (const [property, { label, type }] of inOrder(tree.properties))
      if (type.kind === 'list' || type.kind === 'entries')
        found.push({ label, source: { is: 'property', property }, type });
  const ofEntries = (type: string | undefined, from: Extract<Source, { is: 'field' }>['from']) => {
    const content = type === undefined ? undefined : docOf(documents, 'type', type);
    for (const [id, field] of content ? inOrder(content.fields) : [])
      if (field.type.kind === 'list' || field.type.kind === 'entries')
        found.push({
          label: `${content!.name.toLowerCase()} · ${field.label.toLowerCase()}`,
          source: { is: 'field', from, path: [id] },
          type: field.type,
        });
  };
  if (tree.kind === 'page' && tree.entries !== null) ofEntries(tree.entries, 'page');
  for (const repeat of repeatsAround(tree, node)) {
    ofEntries(repeatedType(documents, tree, repeat), { repeat });
  }
  return found;
}

/** The content type of what a repeat goes over; nothing where that is records of a list, or not known. */
export function repeatedType(
  documents: Documents,
  tree: TreeDoc,
  repeat: NodeId,
): DocId | undefined {
  const stored = own(tree.nodes, repeat);
  if (stored?.kind !== 'repeat') return undefined;
  const { from } = stored.query;
  if ('type' in from) return from.type;
  const list = listOf(documents, tree, repeat, from.list);
  return list?.type.kind === 'entries' ? list.type.of : undefined;
}

function listOf(
  documents: Documents,
  tree: TreeDoc,
  node: NodeId,
  source: Source,
): ListAround | undefined {
  const wanted = JSON.stringify(source);
  return listsAround(documents, tree, node).find((each) => JSON.stringify(each.source) === wanted);
}

/** What a query gives where a repeat stands; nothing where that is not known. */
export function recordsOf(
  documents: Documents,
  tree: TreeDoc,
  node: NodeId,
  from: Query['from'],
): Records | undefined {
  if ('type' in from) return docOf(documents, 'type', from.type);
  const list = listOf(documents, tree, node, from.list);
  if (list?.type.kind === 'entries')
    return list.type.of === undefined ? undefined : docOf(documents, 'type', list.type.of);
  const [first] = list ? inOrder(list.type.fields) : [];
  if (!list || !first) return undefined;
  return { name: list.label, plural: list.label, title: first[0], fields: list.type.fields };
}
