import {
  allOf,
  type Block,
  childrenOf,
  docOf,
  type ComponentDoc,
  type Doc,
  type Documents,
  type Literal,
  type NodeId,
  own,
  partNameOf,
  partsIn,
  type Patch,
  type Place,
  placesFrom,
  queriedType,
  type Query,
  repeatsAround,
  type Source,
  type StyleDoc,
  text,
  type Token,
  type Tree,
  type TreeDoc,
  treeDocOf,
  type TreeNode,
  type Typed,
  type TypeSpec,
  withDescendants,
} from '../../model';
import { declarationKey, filled, keyParts } from '../../style';
import { emptyLiteral } from '../control';
import { freeName } from '../names';
import type { Choices } from './clashes';
import { type Clip } from './clip';
import { Counterparts } from './counterparts';
import { fittedValue } from './fit-value';

/** A clip as it can be pasted at a place, and what of it means nothing there, in words. */
export interface Fitted {
  readonly doc: string;
  readonly roots: readonly NodeId[];
  readonly nodes: Tree;
  /** Definitions, shared styles and files that the site does not have yet. */
  readonly bring: readonly (Doc & { kind: 'component' | 'style' | 'asset' })[];
  /** What shared styles of the site say from then on, where theirs was chosen in the place of ours. */
  readonly restyle: Readonly<Record<string, Block>>;
  /** Tokens of the site that are otherwise from then on, and new ones. */
  readonly tokens: Readonly<Record<string, Token>>;
  readonly left: readonly string[];
}

/**
 * What of a clip still means something where it is pasted: values stay; what is bound stays bound where the same can be
 * read; else it holds what it held. What the site does not know is left out and said.
 * @param makeId gives a new id at each call
 * @param choices which is taken where two are called the same and look otherwise
 * @returns nothing when the place is not there
 */
export function fitClip(
  documents: Documents,
  clip: Clip,
  doc: string,
  place: Place,
  makeId: () => string,
  choices: Choices = {},
): Fitted | undefined {
  const target = treeDocOf(documents, doc);
  if (!target || place.parent === null || !own(target.nodes, place.parent)) return undefined;
  return new Fitting(documents, clip, target, place, makeId, choices).fitted();
}

/** Where a source is read: in what was pasted, or in a definition that comes along and keeps its own. */
type Reader = 'here' | ComponentDoc;

class Fitting {
  private readonly left = new Set<string>();
  private readonly ids = new Map<NodeId, NodeId>();
  private readonly there: Counterparts;
  /** The content types of the repeats around the place, nearest first. */
  private readonly repeats: readonly { readonly repeat: NodeId; readonly type: string }[];

  constructor(
    private readonly documents: Documents,
    private readonly clip: Clip,
    private readonly target: TreeDoc,
    private readonly place: Place,
    private readonly makeId: () => string,
    private readonly choices: Choices,
  ) {
    this.there = new Counterparts(documents, clip, makeId, choices);
    this.repeats = repeatsAt(target, place).flatMap((repeat) => {
      const node = target.nodes[repeat]!;
      const type = node.kind === 'repeat' ? queriedType(node.query) : undefined;
      return type === undefined ? [] : [{ repeat, type }];
    });
  }

  fitted(): Fitted {
    const { clip, place, target } = this;
    const taken = this.leftOut();
    for (const id in clip.nodes) if (!taken.has(id)) this.ids.set(id, this.makeId());
    const nodes: Record<NodeId, TreeNode> = {};
    const roots: NodeId[] = [];
    const places = placesFrom(target.nodes, place, clip.roots.length);
    for (const root of clip.roots) {
      const id = this.ids.get(root);
      if (id === undefined) continue;
      const node = this.node(clip.nodes[root]!, 'here');
      nodes[id] = { ...this.toldApart(node), place: places[roots.length]! };
      roots.push(id);
    }
    for (const [from, id] of this.ids)
      if (!nodes[id]) {
        const node = this.node(clip.nodes[from]!, 'here');
        nodes[id] = { ...node, place: this.placeOf(clip.nodes[from]!) };
      }
    const bring = this.brought();
    const restyle = this.restyled();
    // Last: what comes along and what is restyled may name further ones.
    const tokens = this.tokensTaken();
    return { doc: target.id, roots, nodes, bring, restyle, tokens, left: [...this.left] };
  }

  /** An instance whose name is taken where it comes to stand gets a number behind it. */
  private toldApart(node: TreeNode): TreeNode {
    if (node.kind !== 'instance' || node.name === undefined) return node;
    const taken = new Set(Object.values(this.target.nodes).map(({ name }) => name));
    const base = node.name.replace(/ \d+$/, '').slice(0, 110);
    let { name } = node;
    for (let n = 2; taken.has(name); n += 1) name = `${base} ${n}`;
    return { ...node, name };
  }

  /** The nodes that cannot come along, with everything in them. */
  private leftOut(): Set<NodeId> {
    const { clip, target } = this;
    const out = new Set<NodeId>();
    const children = childrenOf(clip.nodes);
    const drop = (id: NodeId) => {
      for (const each of [id, ...children.all(id).flatMap((c) => withDescendants(clip.nodes, c))])
        out.add(each);
    };
    const slotsThere = new Set(
      Object.values(target.nodes).flatMap((node) => (node.kind === 'slot' ? [node.slot] : [])),
    );
    for (const [id, node] of Object.entries(clip.nodes)) {
      if (node.kind === 'instance' && this.there.component(node.component) === undefined) {
        this.left.add('an instance of a component that is gone');
        drop(id);
      }
      if (node.kind === 'slot') {
        const isIts = target.kind === 'component' && own(target.slots, node.slot) !== undefined;
        const stays = target.id !== clip.doc || !isIts || slotsThere.has(node.slot);
        if (stays) {
          this.left.add('a slot, which stands once in its definition');
          drop(id);
        } else slotsThere.add(node.slot);
      }
      const queried = node.kind === 'repeat' ? queriedType(node.query) : undefined;
      if (queried !== undefined && this.there.type(queried) === undefined) {
        const type = own(clip.types, queried);
        this.left.add(`a repeat over ${type?.plural.toLowerCase() ?? 'entries'}, not on this site`);
        drop(id);
      }
      const { parent, slot } = node.place;
      const around = parent === null ? undefined : own(clip.nodes, parent);
      if (around?.kind === 'instance' && slot !== undefined)
        if (this.there.slot(around.component, slot) === undefined) {
          this.left.add('what stood in a slot that the component here does not have');
          drop(id);
        }
    }
    return out;
  }

  private placeOf({ place: { parent, slot, order } }: TreeNode): Place {
    const inside = this.ids.get(parent!)!;
    const around = this.clip.nodes[parent!]!;
    if (slot === undefined) return { parent: inside, order };
    const named = around.kind === 'instance' ? this.there.slot(around.component, slot)! : slot;
    return { parent: inside, slot: named, order };
  }

  private node(node: TreeNode, at: Reader): TreeNode {
    const shown =
      node.kind !== 'slot' && node.kind !== 'repeat' && node.shown
        ? this.source(node.shown, at, 'whether something shows', () => undefined)
        : undefined;
    switch (node.kind) {
      case 'text': {
        const { shown: _, ...rest } = node;
        const words = this.source(node.text, at, 'a text', () => text(''))!;
        return { ...rest, text: words, ...(shown ? { shown } : {}) };
      }
      case 'element': {
        const { shown: _, shared, theme, ...rest } = node;
        return {
          ...rest,
          ...this.theme(theme),
          attributes: this.sources(node.attributes, at, (name) => [name, name]),
          style: this.block(node.style, at),
          ...this.shared(shared),
          ...(shown ? { shown } : {}),
        };
      }
      case 'instance': {
        const { shown: _, shared, theme, parts, ...rest } = node;
        const component = own(this.clip.components, node.component);
        return {
          ...rest,
          ...this.theme(theme),
          component: this.there.component(node.component)!,
          values: this.sources(node.values, at, (id) => [
            this.there.property(node.component, id),
            component?.properties[id]?.label ?? 'a property',
          ]),
          style: this.block(node.style, at),
          ...this.parts(parts, node.component, at),
          ...this.shared(shared),
          ...(shown ? { shown } : {}),
        };
      }
      case 'repeat':
        return { ...node, query: this.query(node.query, at) };
      case 'slot':
        return node;
    }
  }

  /** What an instance says of parts: of a component that is here already, of those that are called the same there. */
  private parts(parts: Readonly<Record<string, Block>> | undefined, component: string, at: Reader) {
    if (!parts) return {};
    const copied = own(this.clip.components, component);
    const here = docOf(this.documents, 'component', this.there.component(component)!);
    const named = new Map(partsIn(here?.nodes ?? {}).map(([id, name]) => [name, id]));
    const kept: Record<string, Block> = {};
    for (const id of Object.keys(parts).sort()) {
      const name = partNameOf(own(copied?.nodes ?? {}, id));
      const part = here ? named.get(name ?? '') : id;
      if (part === undefined) this.left.add(`the look of ${name ?? 'a part that is gone'}`);
      else kept[part] = this.block(parts[id]!, at);
    }
    return Object.keys(kept).length > 0 ? { parts: kept } : {};
  }

  private sources(
    sources: Readonly<Record<string, Source>>,
    at: Reader,
    nameOf: (name: string) => readonly [string | undefined, string],
  ): Record<string, Source> {
    const kept: Record<string, Source> = {};
    for (const name of Object.keys(sources).sort()) {
      const [here, label] = nameOf(name);
      if (here === undefined) {
        this.left.add(`the value of ${label}`);
        continue;
      }
      const source = this.source(sources[name]!, at, label, () => undefined);
      if (source) kept[here] = source;
    }
    return kept;
  }

  private theme(theme: string | undefined) {
    if (theme === undefined) return {};
    const here = this.there.theme(theme);
    if (here === undefined) this.left.add('a theme that this site does not have');
    return here === undefined ? {} : { theme: here };
  }

  private shared(shared: Readonly<Record<string, true>> | undefined) {
    if (!shared) return {};
    const kept: Record<string, true> = {};
    for (const style of Object.keys(shared)) {
      const here = this.there.style(style);
      if (here === undefined) this.left.add('a shared style that is gone');
      else kept[here] = true;
    }
    return { shared: kept };
  }

  /** A source as it is read there; what cannot be read gives way to what it held, else to what stands in for it. */
  private source(
    source: Source,
    at: Reader,
    what: string,
    stead: () => Literal | undefined,
  ): Source | undefined {
    const read = this.read(source, at);
    const { whenEmpty } = source;
    if (!read) {
      if (typeof whenEmpty === 'object') return this.source(whenEmpty.use, at, what, stead);
      this.left.add(`what ${what} was bound to`);
      return this.held(source) ?? stead();
    }
    if (typeof whenEmpty !== 'object') return read;
    const use = this.source(whenEmpty.use, at, what, stead);
    const { whenEmpty: _, ...alone } = read;
    return use ? ({ ...alone, whenEmpty: { use } } as Source) : (alone as Source);
  }

  private read(source: Source, at: Reader): Source | undefined {
    if (source.is === 'value') return { ...source, value: this.value(source) } as Source;
    if (at !== 'here') return this.readInside(source, at);
    const { clip, target } = this;
    if (source.is === 'property')
      return target.kind === 'component' &&
        target.id === clip.doc &&
        own(target.properties, source.property)
        ? source
        : undefined;
    const { from } = source;
    if (from !== 'page' && this.ids.has(from.repeat)) {
      const repeat = clip.nodes[from.repeat]!;
      const type = repeat.kind === 'repeat' ? queriedType(repeat.query) : undefined;
      const path = type === undefined ? source.path : this.there.path(type, source.path);
      return path && { ...source, from: { repeat: this.ids.get(from.repeat)! }, path };
    }
    const type = from === 'page' ? clip.entries : own(clip.around, from.repeat);
    if (type === null || type === undefined) return undefined;
    const path = this.there.path(type, source.path);
    const reader = this.readerOf(from, this.there.type(type));
    return path && reader && { ...source, from: reader, path };
  }

  /** What gives an entry of a type at the place: the one it was read from, else the nearest that does. */
  private readerOf(
    from: Extract<Source, { is: 'field' }>['from'],
    type: string | undefined,
  ): typeof from | undefined {
    const { target, repeats } = this;
    const ofPage = target.kind === 'page' && target.entries !== null && target.entries === type;
    if (from === 'page' && ofPage) return 'page';
    const same = repeats.find(({ repeat }) => from !== 'page' && repeat === from.repeat);
    const near = same ?? repeats.find((each) => each.type === type);
    if (near) return { repeat: near.repeat };
    return ofPage ? 'page' : undefined;
  }

  /** In a definition that comes along: its properties are its own, fields are those of its repeats. */
  private readInside(
    source: Exclude<Source, { is: 'value' }>,
    component: ComponentDoc,
  ): Source | undefined {
    if (source.is === 'property') return source;
    const repeat = source.from === 'page' ? undefined : own(component.nodes, source.from.repeat);
    const type = repeat?.kind === 'repeat' ? queriedType(repeat.query) : undefined;
    if (type === undefined) return source;
    const path = this.there.path(type, source.path);
    return path && { ...source, path };
  }

  /** What a source held where it was copied, where the clip says so. */
  private held(source: Source): Literal | undefined {
    const { clip } = this;
    if (source.is === 'property') {
      const held = own(clip.components, clip.doc)?.properties[source.property]?.default;
      return held?.is === 'value' ? ({ ...held, value: this.value(held) } as Literal) : undefined;
    }
    if (source.is !== 'field' || source.from !== 'page' || source.path.length !== 1)
      return undefined;
    const held = clip.entry && own(clip.entry.values, source.path[0]!);
    if (!held) return undefined;
    const literal = { is: 'value', ...(held as Typed) } as Literal;
    return { ...literal, value: this.value(literal) } as Literal;
  }

  private value({ is: _, whenEmpty: __, ...typed }: Literal): unknown {
    return fittedValue(typed as Typed, {
      there: this.there,
      tokens: this.clip.tokens,
      lose: (what) => this.left.add(what),
    });
  }

  private query(query: Query, at: Reader): Query {
    const type = queriedType(query);
    const from =
      'list' in query.from
        ? {
            list: this.source(query.from.list, at, 'a list', () =>
              emptyLiteral({ kind: 'list', fields: {} }),
            )!,
          }
        : { type: this.there.type(query.from.type)! };
    const pathOf = (path: readonly string[]) =>
      type === undefined ? [...path] : this.there.path(type, path);
    const where: Query['where'] = {};
    for (const [id, condition] of Object.entries(query.where)) {
      const path = pathOf(condition.path);
      const source = this.source(condition.source, at, 'a condition', () => undefined);
      if (path && source) where[id] = { ...condition, path, source };
      else this.left.add('a condition of a repeat');
    }
    const order: Query['order'] = {};
    for (const [id, key] of Object.entries(query.order)) {
      const path = pathOf(key.path);
      if (path) order[id] = { ...key, path };
    }
    const limit = query.limit && this.source(query.limit, at, 'a limit', () => undefined);
    const offset = query.offset && this.source(query.offset, at, 'an offset', () => undefined);
    const path = query.related && pathOf(query.related.path);
    const to =
      query.related &&
      this.source(query.related.to, at, 'what a repeat is related to', () => undefined);
    return {
      from,
      where,
      order,
      ...(limit ? { limit } : {}),
      ...(offset ? { offset } : {}),
      ...(path && to ? { related: { path, to } } : {}),
    };
  }

  private block(block: Block, at: Reader): Block {
    const kept: Block = {};
    for (const key of Object.keys(block)) {
      const { property, width, state } = keyParts(key);
      const here = width === 'base' ? 'base' : this.there.width(width);
      if (here === undefined) {
        const max = own(this.clip.widths, width)?.max;
        this.left.add(`what was declared at ${max === undefined ? 'a width' : `${max} px`}`);
        continue;
      }
      const declared = this.declared(block[key]!, at);
      if (declared) kept[declarationKey(property, here, state)] = declared;
      else this.left.add(`a declaration of ${property}`);
    }
    return kept;
  }

  private declared({ css, refs }: Block[string], at: Reader): Block[string] | undefined {
    if (!refs) return { css };
    const kept: NonNullable<Block[string]['refs']> = {};
    let written = css;
    for (const [name, ref] of Object.entries(refs)) {
      if ('source' in ref) {
        const source = this.source(ref.source, at, 'a declaration', () => undefined);
        if (!source) return undefined;
        kept[name] = { ...ref, source };
        continue;
      }
      const token = this.there.token(ref.token);
      if (token !== undefined) {
        kept[name] = { ...ref, token };
        continue;
      }
      // A token that this site does not have is written out, all the way down.
      const given = own(this.clip.tokens, ref.token);
      const value =
        given && filled({ css: `var(--${name})`, refs: { [name]: ref } }, this.clip.tokens);
      if (value === undefined) return undefined;
      written = written.replaceAll(`var(--${name})`, () => value);
    }
    return Object.keys(kept).length === 0 ? { css: written } : { css: written, refs: kept };
  }

  /** What comes along, fitted itself, until nothing more does. */
  private brought(): Fitted['bring'] {
    const { clip, there } = this;
    const bring: (Doc & { kind: 'component' | 'style' | 'asset' })[] = [];
    // The map grows while it is gone through: definitions place further ones.
    for (const [from, id] of there.coming) {
      const component = own(clip.components, from);
      const style = own(clip.styles, from);
      const asset = own(clip.assets, from);
      if (component) bring.push(this.definition(component, id));
      else if (style) bring.push(this.style(style, id));
      else if (asset) bring.push({ ...asset, id });
    }
    return bring;
  }

  private style(style: StyleDoc, id: string): StyleDoc {
    const base = style.base === null ? null : (this.there.style(style.base) ?? null);
    const taken = allOf(this.documents, 'style').map((each) => each.name);
    const name = freeName(style.name, taken);
    return { ...style, id, name, base, style: this.block(style.style, 'here') };
  }

  /** What styles of the site say from then on, where theirs was chosen. */
  private restyled(): Record<string, Block> {
    const restyled: Record<string, Block> = {};
    for (const [id, style] of Object.entries(this.clip.styles)) {
      const here = own(this.choices, id) === 'theirs' ? this.there.style(id) : undefined;
      if (here !== undefined) restyled[here] = this.block(style.style, 'here');
    }
    return restyled;
  }

  /** Tokens of the site that become theirs, and those of theirs that come beside ours. */
  private tokensTaken(): Record<string, Token> {
    const { tokens } = this.documents.tokens;
    const taken: Record<string, Token> = {};
    const names = new Set(Object.values(tokens).map(({ name }) => name));
    for (const [id, theirs] of Object.entries(this.clip.tokens)) {
      const here = own(this.choices, id) === 'theirs' ? this.there.token(id) : undefined;
      const value = here === undefined ? undefined : this.declared(theirs.value, 'here');
      if (here !== undefined && value) taken[here] = { ...own(tokens, here)!, value };
    }
    // The map grows while it is gone through: a token may be made from further ones.
    for (const [id, here] of this.there.comingTokens) {
      const theirs = own(this.clip.tokens, id);
      const value = theirs && this.declared(theirs.value, 'here');
      if (!theirs || !value) continue;
      const name = freeName(theirs.name, names);
      names.add(name);
      taken[here] = { ...theirs, name, value };
    }
    return taken;
  }

  private definition(doc: ComponentDoc, id: string): ComponentDoc {
    const nodes: Record<NodeId, TreeNode> = {};
    for (const [node, stored] of Object.entries(doc.nodes)) {
      const fitted = this.node(stored, doc);
      const { parent, slot } = stored.place;
      const around = parent === null ? undefined : doc.nodes[parent];
      const named =
        slot !== undefined && around?.kind === 'instance'
          ? this.there.slot(around.component, slot)
          : slot;
      nodes[node] = {
        ...fitted,
        place: named === undefined ? stored.place : { ...stored.place, slot: named },
      };
    }
    const properties: ComponentDoc['properties'] = {};
    for (const [property, made] of Object.entries(doc.properties)) {
      const held = this.source(made.default, doc, made.label, () => emptyLiteral(made.type))!;
      properties[property] = { ...made, type: this.spec(made.type), default: held };
    }
    const slots: ComponentDoc['slots'] = {};
    for (const [slot, { allows, ...rest }] of Object.entries(doc.slots)) {
      const here = Object.keys(allows ?? {}).flatMap((each) => this.there.component(each) ?? []);
      slots[slot] =
        here.length > 0
          ? { ...rest, allows: Object.fromEntries(here.map((each) => [each, true as const])) }
          : rest;
    }
    const rules: ComponentDoc['rules'] = {};
    for (const [rule, { patch, ...rest }] of Object.entries(doc.rules))
      rules[rule] = {
        ...rest,
        patch: Object.fromEntries(
          Object.entries(patch).map(([node, each]) => [node, this.patch(doc, node, each)]),
        ),
      };
    return { ...doc, id, nodes, properties, slots, rules };
  }

  private patch(doc: ComponentDoc, node: NodeId, patch: Patch): Patch {
    const stored = doc.nodes[node];
    const { style, attributes, shown, values } = patch;
    const shows = shown && this.source(shown, doc, 'whether something shows', () => undefined);
    return {
      ...(style ? { style: this.block(style, doc) } : {}),
      ...(attributes ? { attributes: this.sources(attributes, doc, (name) => [name, name]) } : {}),
      ...(shows ? { shown: shows } : {}),
      ...(values && stored?.kind === 'instance'
        ? {
            values: this.sources(values, doc, (id) => [
              this.there.property(stored.component, id),
              'a property',
            ]),
          }
        : {}),
    };
  }

  private spec(type: TypeSpec): TypeSpec {
    if (type.kind !== 'entry' || type.of === undefined) return type;
    const of = this.there.type(type.of);
    return of === undefined ? { kind: 'entry' } : { ...type, of };
  }
}

/** The repeats around a place of a tree, nearest first. */
function repeatsAt(doc: TreeDoc, place: Place): NodeId[] {
  const { parent } = place;
  if (parent === null) return [];
  const at = 'place-asked-for';
  return repeatsAround(
    { ...doc, nodes: { ...doc.nodes, [at]: { kind: 'slot', place, slot: at } } },
    at,
  );
}
