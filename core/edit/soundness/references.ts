import {
  chainOf,
  definitionSources,
  own,
  pointer,
  queriedType,
  type Doc,
  type Documents,
  type Kind,
} from '../../model';
import { say, type Said } from '../../said';

/**
 * A reference that must lead somewhere: what holds it means nothing without what it names. Other references (a
 * link, a picture, an entry as a value) are empty when what they name is gone, and need no care.
 */
export interface Reference {
  /** Where it stands, as a JSON Pointer into its document. */
  readonly path: string;
  readonly kind: Kind;
  readonly to: string;
  /** Why it cannot stay when what it names is gone. */
  readonly reason: Said;
}

const known = new WeakMap<Doc, readonly Reference[]>();

/** The references of a document that must lead somewhere, worked out once for each document. */
export function referencesOf(doc: Doc): readonly Reference[] {
  let list = known.get(doc);
  if (!list) known.set(doc, (list = read(doc)));
  return list;
}

function read(doc: Doc): Reference[] {
  switch (doc.kind) {
    case 'page':
    case 'component': {
      const found = Object.keys(doc.nodes).flatMap((node) => nodeReferences(doc, node));
      if (doc.kind === 'page' && doc.entries !== null)
        found.push({
          path: '/entries',
          kind: 'type',
          to: doc.entries,
          reason: say('gone-entries-type'),
        });
      return found;
    }
    case 'entry':
      return [
        {
          path: '/type',
          kind: 'type',
          to: doc.type,
          reason: say('gone-type-of-entry'),
        },
      ];
    case 'site':
      return doc.surround === null
        ? []
        : [
            {
              path: '/surround',
              kind: 'component',
              to: doc.surround,
              reason: say('gone-surround'),
            },
          ];
    default:
      return [];
  }
}

/** The same of one node. */
export function nodeReferences(
  doc: Extract<Doc, { kind: 'page' | 'component' }>,
  id: string,
): Reference[] {
  const node = own(doc.nodes, id);
  if (node?.kind === 'instance')
    return [
      {
        path: pointer('nodes', id, 'component'),
        kind: 'component',
        to: node.component,
        reason: say('gone-placed'),
      },
    ];
  const queried = node?.kind === 'repeat' ? queriedType(node.query) : undefined;
  if (queried !== undefined)
    return [
      {
        path: pointer('nodes', id, 'query', 'from', 'type'),
        kind: 'type',
        to: queried,
        reason: say('gone-repeated-type'),
      },
    ];
  return [];
}

/** Whether a reference leads to a document of the kind it must. */
export function leads(documents: Documents, { kind, to }: Reference): boolean {
  return documents.get(to)?.kind === kind;
}

/** Something that points at nothing: where, and why it means nothing as it is. */
export interface Dangling {
  readonly doc: string;
  readonly path: string;
  /** What is gone: a document, or a property of the definition that it stands in. */
  readonly gone: Kind | 'property';
  readonly reason: Said;
}

/** Everything on a site that points at nothing: no edit leaves such a thing, but older versions did. */
export function danglingIn(documents: Documents): Dangling[] {
  const found: Dangling[] = [];
  for (const doc of documents) {
    const { id } = doc;
    for (const reference of referencesOf(doc))
      if (!leads(documents, reference))
        found.push({
          doc: id,
          path: reference.path,
          gone: reference.kind,
          reason: reference.reason,
        });
    if (doc.kind === 'component')
      for (const { path, property } of propertiesRead(doc))
        if (!Object.hasOwn(doc.properties, property))
          found.push({
            doc: id,
            path,
            gone: 'property',
            reason: say('gone-read-property'),
          });
  }
  return found;
}

const reads = new WeakMap<object, { rules: object; list: readonly PropertyRead[] }>();
interface PropertyRead {
  readonly path: string;
  readonly property: string;
}

/** The properties that a definition reads and where, worked out once for each state of its nodes and rules. */
function propertiesRead(doc: Extract<Doc, { kind: 'component' }>): readonly PropertyRead[] {
  const kept = reads.get(doc.nodes);
  if (kept?.rules === doc.rules) return kept.list;
  const list = definitionSources(doc).flatMap(([where, source]) =>
    chainOf(source).flatMap((each) =>
      each.is === 'property' ? [{ path: pointer(...where), property: each.property }] : [],
    ),
  );
  reads.set(doc.nodes, { rules: doc.rules, list });
  return list;
}
