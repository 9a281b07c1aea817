import { plant, type Branch } from '../ready';
import {
  FORMAT,
  kindOnly,
  ordersFor,
  text,
  type AssetDoc,
  type ComponentDoc,
  type Doc,
  Documents,
  type EntryDoc,
  type Literal,
  type PageDoc,
  type Property,
  type Query,
  type SiteDoc,
  type Source,
  type TagsDoc,
  type TokensDoc,
  type TypeDoc,
  type Typed,
  type TypedOf,
  type TypeSpec,
  type ValueKind,
} from '../model';

export const site: SiteDoc = {
  id: 'site',
  kind: 'site',
  format: FORMAT,
  name: 'Small',
  slug: 'small',
  language: 'en',
  surround: null,
  widths: { w900: { max: 900 }, w500: { max: 500 } },
  fonts: {},
};

export const tags: TagsDoc = { id: 'tags', kind: 'tags', format: FORMAT, tags: {} };

export const tokens: TokensDoc = { id: 'tokens', kind: 'tokens', format: FORMAT, tokens: {} };

/** Instants at which entries come and go. */
export const TIMES = ['2026-12-01T10:00Z', '2026-12-24T08:00Z', '2027-01-01T00:00Z'] as const;

/** Ids that count: `a1`, `a2` … */
export function counter(prefix: string): () => string {
  let next = 0;
  return () => `${prefix}${(next += 1)}`;
}

/** A component from a branch; properties by id with their default. */
export function component(
  id: string,
  root: Branch,
  properties: Record<string, Literal> = {},
  slots: readonly string[] = [],
): ComponentDoc {
  const orders = ordersFor(Object.keys(properties).length);
  const made: Record<string, Property> = {};
  Object.entries(properties).forEach(([property, byDefault], i) => {
    made[property] = {
      label: property,
      key: property,
      type: kindOnly(byDefault.type),
      group: null,
      order: orders[i]!,
      default: byDefault,
    };
  });
  return {
    id,
    kind: 'component',
    format: FORMAT,
    name: `Parts/${id}`,
    properties: made,
    groups: {},
    rules: {},
    slots: Object.fromEntries(slots.map((slot) => [slot, { label: slot, order: 'a0' }])),
    nodes: plant(root, { parent: null, order: 'a0' }, counter(`${id}n`)).nodes,
  };
}

/** A page whose root is this branch; made from entries of a type where one is named. */
export function page(
  id: string,
  path: string,
  root: Branch,
  entries: string | null = null,
): PageDoc {
  return {
    id,
    kind: 'page',
    format: FORMAT,
    name: id,
    path,
    title: text(id),
    description: text(''),
    draft: false,
    entries,
    former: {},
    nodes: plant(root, { parent: null, order: 'a0' }, counter(`${id}n`)).nodes,
  };
}

/** A content type of fields by id, each of a kind or a narrower type; the first is its title. */
export function contentType(id: string, fields: Record<string, ValueKind | TypeSpec>): TypeDoc {
  const ids = Object.keys(fields);
  const orders = ordersFor(ids.length);
  return {
    id,
    kind: 'type',
    format: FORMAT,
    name: id,
    plural: id + 's',
    title: ids[0]!,
    fields: Object.fromEntries(
      ids.map((field, i) => [
        field,
        { label: field, key: field, type: specOf(fields[field]!), order: orders[i]! },
      ]),
    ),
  };
}

function specOf(type: ValueKind | TypeSpec): TypeSpec {
  return typeof type === 'string' ? kindOnly(type) : type;
}

/** A query of a content type: conditions as fields that equal something, fields to sort by, and more of it. */
export function queryOf(
  type: string,
  where: readonly (readonly [field: string, equals: Source])[] = [],
  order: readonly (readonly [field: string, descending: boolean])[] = [],
  more: Partial<Query> = {},
): Query {
  const orders = ordersFor(order.length);
  return {
    from: { type },
    where: Object.fromEntries(
      where.map(([field, source], i) => [`w${i}`, { path: [field], is: 'equals', source }]),
    ),
    order: Object.fromEntries(
      order.map(([field, descending], i) => [
        `o${i}`,
        { path: [field], descending, order: orders[i]! },
      ]),
    ),
    ...more,
  };
}

export function entry(type: string, slug: string, values: Record<string, Typed>): EntryDoc {
  return { id: `${type}-${slug}`, kind: 'entry', format: FORMAT, type, slug, draft: false, values };
}

export function asset(id: string): AssetDoc {
  return {
    id,
    kind: 'asset',
    format: FORMAT,
    name: `${id}.svg`,
    sha256: id.padEnd(64, '0').replace(/[^0-9a-f]/g, 'a'),
    mediaType: 'image/svg+xml',
    width: 30,
    height: 20,
  };
}

/** Documents by id, with a site, tags and tokens where none are given. */
export function documentsOf(...docs: Doc[]): Documents {
  return Documents.from([site, tags, tokens, ...docs]);
}

export const words = (value: string): TypedOf<'text'> => ({ type: 'text', value });
