import type { Whens } from '../behaviour';
import type { Patch } from '../documents';
import { own } from '../own';
import {
  queriedType,
  type Block,
  type Declared,
  type Query,
  type Ref,
  type TreeNode,
} from '../tree';
import { mayRefer, referredIn, referring } from '../attributes';
import { mapActs } from './in-acts';
import { mapSource } from './in-sources';
import {
  mapMembers,
  mapRecord,
  plain,
  type At,
  type Member,
  type Members,
  type Naming,
} from './naming';
import type { Source } from '../source';

type NodeOf<K extends TreeNode['kind']> = Extract<TreeNode, { kind: K }>;
type Element = NodeOf<'element'>;
type Instance = NodeOf<'instance'>;

const source: Member<Source, unknown> = (value, on, at) => mapSource(value, on, at);

/** Attributes and what else is a source under a name of its own. */
const sources: Member<Readonly<Record<string, Source>>, unknown> = (record, on, at) =>
  mapRecord(record, at, (value, where, name) => {
    const now = mapSource(value, on, where);
    return now && [name, now];
  });

/** The attributes of an element: some name elements of the same tree. */
const attributes: Member<Readonly<Record<string, Source>>, { readonly tag?: string }> = (
  record,
  on,
  at,
  { tag = '' },
) =>
  mapRecord(record, at, (value, where, name) => {
    const now = on.node ? referredNow(tag, name, value, on.node) : value;
    const there = now && (now === value ? mapSource(value, on, where) : now);
    return there && [name, there];
  });

/** What an attribute says where what it names is called otherwise; nothing where all of that is gone. */
function referredNow(
  tag: string,
  name: string,
  value: Source,
  node: NonNullable<Naming['node']>,
): Source | undefined {
  if (value.is !== 'value' || value.type !== 'text' || !mayRefer(tag, name)) return value;
  const nodes = referredIn(value.value ?? '');
  if (!nodes) return value;
  const now = nodes.flatMap((each) => node(each) ?? []);
  if (now.length === 0) return undefined;
  const words = now.map(referring).join(' ');
  return words === value.value ? value : { ...value, value: words };
}

/** An element whose attributes name other elements in place of those they named; what names none any more is left out. */
export function mapReferred(element: Element, node: NonNullable<Naming['node']>): Element {
  const { tag } = element;
  const now = mapRecord(element.attributes, [], (value, _, name) => {
    const there = referredNow(tag, name, value, node);
    return there && [name, there];
  });
  return now === element.attributes ? element : { ...element, attributes: now };
}

const block: Member<Block, unknown> = (value, on, at) => mapBlock(value, on, at);

const shared: Member<Readonly<Record<string, true>>, unknown> = (record, on, at) =>
  mapRecord(record, at, (yes, _, id) => {
    const here = on.named({ is: 'style', id, by: 'look' });
    return here === undefined ? undefined : [here, yes];
  });

const theme: Member<string, unknown> = (id, on) => on.named({ is: 'theme', id, by: 'look' });

const whens: Member<Whens, unknown> = (record, on, at) =>
  mapRecord(record, at, (when, where, id) => {
    const acts = mapActs(when.acts, on, [...where, 'acts'], mapSource);
    return [id, acts === when.acts ? when : { ...when, acts }];
  });

type Chosen = NonNullable<Element['chosen']>;
const CHOSEN: Members<Chosen> = { tag: source, theme: source, style: source };
const chosen: Member<Chosen, unknown> = (value, on, at) => {
  const now = mapMembers(value, CHOSEN, on, at);
  return Object.keys(now).length === 0 ? undefined : now;
};

/** What an instance sets: each value under the property that it has there. */
function valuesOf(component: string) {
  return (values: Readonly<Record<string, Source>>, on: Naming, at: At) =>
    mapRecord(values, at, (value, where, id) => {
      const here = on.named({ is: 'property', of: component, id });
      const now = here === undefined ? undefined : mapSource(value, on, where);
      return here === undefined || !now ? undefined : [here, now];
    });
}

const ELEMENT: Members<Element> = {
  kind: plain,
  place: plain,
  name: plain,
  tag: plain,
  attributes,
  style: block,
  shared,
  theme,
  chosen,
  part: plain,
  shown: source,
  whens,
};

const INSTANCE: Members<Instance> = {
  kind: plain,
  place: plain,
  name: plain,
  component: (id, on) => on.named({ is: 'component', id, by: 'instance' }),
  values: (values, on, at, { component }) => valuesOf(component)(values, on, at),
  style: block,
  parts(parts, on, at, { component }) {
    const now = mapRecord(parts, at, (each, where, id) => {
      const here = on.named({ is: 'part', of: component, id });
      return here === undefined ? undefined : [here, mapBlock(each, on, where)];
    });
    return Object.keys(now).length === 0 && Object.keys(parts).length > 0 ? undefined : now;
  },
  shared,
  theme,
  chosen,
  part: plain,
  shown: source,
};

const TEXT: Members<NodeOf<'text'>> = {
  kind: plain,
  place: plain,
  name: plain,
  text: source,
  rich: plain,
  shown: source,
};

const SLOT: Members<NodeOf<'slot'>> = {
  kind: plain,
  place: plain,
  name: plain,
  slot: plain,
  shown: source,
};

const REPEAT: Members<NodeOf<'repeat'>> = {
  kind: plain,
  place: plain,
  name: plain,
  query: (query, on, at) => mapQuery(query, on, at),
};

/** What nodes of each kind name. Where a node stands is said by whoever moves it. */
const NODES = {
  element: ELEMENT,
  instance: INSTANCE,
  text: TEXT,
  slot: SLOT,
  repeat: REPEAT,
} as const;

/** A node as it is named now; the same object where nothing it names is another. */
export function mapNode<T extends TreeNode>(node: T, on: Naming): T {
  return mapMembers(node, NODES[node.kind] as unknown as Members<T>, on, []);
}

const PATCH: Members<Patch> = {
  style: block,
  attributes: sources,
  text: source,
  shown: source,
  values: plain,
  tag: plain,
  theme: (id, on) => (id === null ? id : on.named({ is: 'theme', id, by: 'look' })),
  shared: (record, on, at) => {
    const now = mapRecord(record, at, (isOn, _, id) => {
      const here = on.named({ is: 'style', id, by: 'look' });
      return here === undefined ? undefined : [here, isOn];
    });
    return Object.keys(now).length === 0 && Object.keys(record).length > 0 ? undefined : now;
  },
};

/** What a rule says of a node, as it is named now. @param node the node that is patched, where it is still there */
export function mapPatch(patch: Patch, node: TreeNode | undefined, on: Naming, at: At = []): Patch {
  const now = mapMembers(patch, PATCH, on, at);
  if (!patch.values) return now;
  const values =
    node?.kind === 'instance'
      ? valuesOf(node.component)(patch.values, on, [...at, 'values'])
      : sources(patch.values, on, [...at, 'values'], patch);
  return values === patch.values ? now : { ...now, values: values! };
}

const QUERY: Members<Query> = {
  from: (from, on, at) => {
    if ('list' in from) {
      const list = mapSource(from.list, on, [...at, 'list']);
      return list === from.list ? from : list && { list };
    }
    const type = on.named({ is: 'type', id: from.type, by: 'query' });
    return type === from.type ? from : type === undefined ? undefined : { type };
  },
  where: (where, on, at, query) =>
    mapRecord(where, at, (condition, inner, id) => {
      const path = pathIn(query, condition.path, on);
      const compared = mapSource(condition.source, on, [...inner, 'source']);
      if (!path || !compared) return undefined;
      const or = condition.or && sources(condition.or, on, [...inner, 'or'], condition);
      const same = path === condition.path && compared === condition.source && or === condition.or;
      return [
        id,
        same ? condition : { ...condition, path, source: compared, ...(or ? { or } : {}) },
      ];
    }),
  groups: plain,
  any: plain,
  order: (order, on, at, query) =>
    mapRecord(order, at, (key, _, id) => {
      const path = pathIn(query, key.path, on);
      return path && [id, path === key.path ? key : { ...key, path }];
    }),
  limit: source,
  offset: source,
  perPage: plain,
  related: (related, on, at, query) => {
    const path = pathIn(query, related.path, on);
    const to = mapSource(related.to, on, [...at, 'to']);
    if (!path || !to) return undefined;
    return path === related.path && to === related.to ? related : { path, to };
  },
};

/** A query as it is named now: what of it means nothing there is left out. */
export function mapQuery(query: Query, on: Naming, at: At = []): Query {
  return mapMembers(query, QUERY, on, at);
}

function pathIn(query: Query, path: string[], on: Naming): string[] | undefined {
  if (!on.path) return path;
  const now = on.path(queriedType(query), path);
  return now && now.join() === path.join() ? path : now;
}

/** A block as it is named now: declarations in which something means nothing are left out, and told of. */
export function mapBlock(given: Block, on: Naming, at: At = []): Block {
  return mapRecord(given, at, (declared, where, key) => {
    const width = /@([a-z][a-z0-9-]*)/.exec(key)?.[1];
    const here = width === undefined ? undefined : on.named({ is: 'width', id: width });
    if (width !== undefined && here === undefined) return undefined;
    const now = mapDeclared(declared, on, where);
    if (!now) {
      on.lostDeclaration?.(key, declared);
      return undefined;
    }
    return [here === undefined || here === width ? key : key.replace('@' + width, '@' + here), now];
  });
}

/** A declaration as it is named now; nothing where something in it means nothing there. */
export function mapDeclared(declared: Declared, on: Naming, at: At = []): Declared | undefined {
  if (!declared.refs) return declared;
  let { css } = declared;
  const refs: Record<string, Ref> = {};
  let same = true;
  for (const name of Object.keys(declared.refs).sort()) {
    const ref = own(declared.refs, name)!;
    const now = mapRef(ref, on, [...at, 'refs', name]);
    if (now) {
      refs[name] = now;
      same &&= now === ref;
      continue;
    }
    const written = 'token' in ref ? on.tokenCss?.(name, ref) : undefined;
    if (written === undefined) return undefined;
    css = css.replaceAll(`var(--${name})`, () => written);
    same = false;
  }
  if (same) return declared;
  return Object.keys(refs).length > 0 ? { css, refs } : { css };
}

function mapRef(ref: Ref, on: Naming, at: At): Ref | undefined {
  if ('source' in ref) {
    const fed = mapSource(ref.source, on, [...at, 'source']);
    return fed === ref.source ? ref : fed && { ...ref, source: fed };
  }
  const token = on.named({ is: 'token', id: ref.token });
  return token === ref.token ? ref : token === undefined ? undefined : { ...ref, token };
}
