import {
  allOf,
  docOf,
  nodeIn,
  own,
  pointer,
  type ComponentDoc,
  type Declared,
  type DocId,
  type Documents,
  type TokensDoc,
} from '../model';
import { rulesInOrder } from '../style';
import { optionsInUse } from './option-reach';
import type { Reach } from './reach';

/** Whom a token reaches, directly and through the tokens that are made from it. */
export interface TokenReach {
  /** In how many declarations it stands. */
  readonly declarations: number;
  /** The tokens that are made from it. */
  readonly tokens: readonly string[];
  readonly pages: readonly DocId[];
}

/** Whom a token reaches. */
export function reachOfToken(documents: Documents, reach: Reach, token: string): TokenReach {
  const made = tokensMadeFrom(documents, token);
  const pages = new Set<DocId>();
  let declarations = 0;
  for (const id of [token, ...made])
    for (const { from } of reach.usesOf(pointer('tokens', id))) {
      if (from === documents.tokens.id) continue;
      declarations += 1;
      // What every page is written with, a tag's style above all, reaches them all.
      const all = from === documents.tags.id;
      const reached = all
        ? allOf(documents, 'page').map((page) => page.id)
        : reach.answer(from).pages;
      for (const page of reached) pages.add(page);
    }
  return { declarations, tokens: made, pages: [...pages] };
}

const known = new WeakMap<TokensDoc, ReadonlyMap<string, readonly string[]>>();

/** For each token those that name it, themselves or where a theme makes them so; worked out once for each state of them. */
function namedBy(doc: TokensDoc): ReadonlyMap<string, readonly string[]> {
  const kept = known.get(doc);
  if (kept) return kept;
  const made = new Map<string, string[]>();
  const note = (id: string, value: Declared) => {
    for (const ref of Object.values(value.refs ?? {}))
      if ('token' in ref) made.set(ref.token, [...(made.get(ref.token) ?? []), id]);
  };
  for (const id in doc.tokens) note(id, doc.tokens[id]!.value);
  for (const { values } of Object.values(doc.themes ?? {}))
    for (const id in values) note(id, values[id]!);
  known.set(doc, made);
  return made;
}

/** The tokens that are made from one, directly or through others, also where only a theme makes them so. */
export function tokensMadeFrom(documents: Documents, token: string): string[] {
  const by = namedBy(documents.tokens);
  const found = new Set<string>();
  for (const open = [token]; open.length > 0;)
    for (const id of by.get(open.pop()!) ?? [])
      if (!found.has(id) && id !== token) {
        found.add(id);
        open.push(id);
      }
  return [...found];
}

/** How many elements on how many pages have a shared style on, in the variants that instances have. */
export function reachOfStyle(
  documents: Documents,
  reach: Reach,
  style: string,
): { readonly elements: number; readonly pages: number } {
  let elements = 0;
  const pages = new Set<DocId>();
  const note = (doc: DocId, many: number) => {
    if (many === 0) return;
    elements += many * reach.standing(doc);
    for (const page of reach.answer(doc).pages) pages.add(page);
  };
  const varied = new Set<DocId>();
  for (const { from, node, kind } of reach.usesOf(style)) {
    if (kind !== 'styles') continue;
    const component = docOf(documents, 'component', from);
    if (!component || !rulesSay(component, style)) note(from, 1);
    else if (!varied.has(from)) {
      varied.add(from);
      for (const each of optionsInUse(documents, reach, component))
        note(each.document, each.instances * wearersIn(component, style, each.options));
    }
    // What only words wear, no rule changes.
    if (component && varied.has(from) && nodeIn(documents, from, node)?.kind === 'text')
      note(from, 1);
  }
  return { elements, pages: pages.size };
}

function rulesSay({ rules }: ComponentDoc, style: string): boolean {
  return Object.values(rules).some(({ patch }) =>
    Object.values(patch).some(({ shared }) => shared && own(shared, style) !== undefined),
  );
}

/** How many nodes of a definition have a shared style on in a variant; what is not known counts as the base. */
function wearersIn(
  component: ComponentDoc,
  style: string,
  options: Readonly<Record<string, string | null>>,
): number {
  const rules = rulesInOrder(component).filter(
    ([, { when }]) =>
      !when.pseudo &&
      Object.entries(when.axes).every(([axis, option]) => own(options, axis) === option),
  );
  return Object.keys(component.nodes).filter((id) => {
    const node = component.nodes[id]!;
    if (node.kind !== 'element' && node.kind !== 'instance') return false;
    let on = own(node.shared ?? {}, style) === true;
    for (const [, { patch }] of rules) {
      const said = own(own(patch, id)?.shared ?? {}, style);
      if (said !== undefined) on = said;
    }
    return on;
  }).length;
}

/** The shared styles that nothing has on, and that modify none that something has: what can go together. */
export function unusedStyles(documents: Documents, reach: Reach): string[] {
  const isWorn = (id: string) => reach.usesOf(id).some(({ kind }) => kind === 'styles');
  const styles = allOf(documents, 'style');
  return styles
    .filter(
      ({ id }) =>
        !isWorn(id) && !styles.some(({ base, id: other }) => base === id && isWorn(other)),
    )
    .map(({ id }) => id);
}
