import { ordersFor } from '../order';
import type { Stored, StoredDoc } from './stored';

/* What format 1 looked like, as far as it is read here. */
interface Query1 {
  type: string;
  where: { field: string; equals: unknown }[];
  order: { field: string; descending: boolean }[];
  limit?: number;
}
type Node1 = { kind: string; query?: Query1 };
type Typed1 = { type: string; of?: string };
type Doc1 = StoredDoc & {
  nodes?: Record<string, Node1>;
  properties?: Record<string, Typed1>;
  fields?: Record<string, Typed1>;
};

/**
 * From format 1 to 2: properties and fields hold a type with what belongs to it, where a field named the type of its
 * entries beside; the conditions and the order of a query are records under ids, its limit is a source. Tokens and
 * tag styles are documents of their own, fonts belong to the site, components have rules.
 */
export function toFormat2(documents: Stored): Stored {
  const made: Record<string, StoredDoc> = {};
  let fonts: unknown = {};
  for (const [id, doc] of Object.entries(documents)) {
    if (doc.kind === 'styles') {
      const { fonts: held, ...tags } = doc as StoredDoc & { fonts: unknown };
      fonts = held;
      made[id] = { ...tags, kind: 'tags', format: 2 };
    } else made[id] = doc.format === 1 ? docOf(doc) : doc;
  }
  for (const id of Object.keys(made))
    if (made[id]!.kind === 'site') made[id] = { ...made[id]!, fonts } as StoredDoc;
  let tokens = 'tokens';
  for (let n = 2; Object.hasOwn(made, tokens); n += 1) tokens = `tokens-${n}`;
  made[tokens] = { id: tokens, kind: 'tokens', format: 2, tokens: {} } as StoredDoc;
  return made;
}

function docOf(doc: Doc1): StoredDoc {
  const made: Record<string, unknown> = { ...doc, format: 2 };
  if (doc.nodes) made['nodes'] = mapped(doc.nodes, nodeOf);
  if (doc.kind === 'component') made['rules'] = {};
  if (doc.kind === 'component' && doc.properties)
    made['properties'] = mapped(doc.properties, typed);
  if (doc.kind === 'type' && doc.fields) made['fields'] = mapped(doc.fields, typed);
  return made as unknown as StoredDoc;
}

/** A record with other values; the same object when none is another. */
function mapped<T>(record: Record<string, T>, of: (value: T) => unknown): unknown {
  let changed = false;
  const made = Object.entries(record).map(([id, value]) => {
    const now = of(value);
    changed ||= now !== value;
    return [id, now];
  });
  return changed ? Object.fromEntries(made) : record;
}

function typed({ type, of, ...rest }: Typed1): unknown {
  return { ...rest, type: of === undefined ? { kind: type } : { kind: type, of } };
}

function nodeOf(node: Node1): unknown {
  if (node.kind !== 'repeat' || !node.query) return node;
  const { type, where, order, limit } = node.query;
  const orders = ordersFor(order.length);
  return {
    ...node,
    query: {
      from: { type },
      where: Object.fromEntries(
        where.map(({ field, equals }, i) => [
          `w${i}`,
          { path: [field], is: 'equals', source: equals },
        ]),
      ),
      order: Object.fromEntries(
        order.map(({ field, descending }, i) => [
          `o${i}`,
          { path: [field], descending, order: orders[i] },
        ]),
      ),
      ...(limit === undefined ? {} : { limit: { is: 'value', type: 'number', value: limit } }),
    },
  };
}
