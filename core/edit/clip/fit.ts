import {
  allOf,
  type Block,
  childrenOf,
  CHOSEN,
  docOf,
  type ComponentDoc,
  type Doc,
  type ElementNode,
  type InstanceNode,
  type Documents,
  kindOf,
  type Literal,
  mapBlock,
  mapDeclared,
  mapDefinition,
  mapNode,
  mapPatch,
  mapType,
  mapTyped,
  type Named,
  type Naming,
  type NodeId,
  own,
  partNameOf,
  partsIn,
  type Place,
  placesFrom,
  queriedType,
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
  withDescendants,
} from '../../model';
import { filled, keyParts } from '../../style';
import { emptyLiteral } from '../control';
import { freeName } from '../names';
import type { Choices } from './clashes';
import { type Clip } from './clip';
import { Counterparts } from './counterparts';

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

  /** What is named there, and how sources are read: of a node, where one is mapped. */
  private naming(at: Reader, node?: TreeNode): Naming {
    return {
      named: (named) => this.named(named, node),
      path: (type, path) => (type === undefined ? [...path] : this.there.path(type, path)),
      source: (source, where) => this.sourceAt(source, at, where, node),
      tokenValue: (kind, token) => this.tokenValue(kind, token),
      // A token that this site does not have is written out, all the way down.
      tokenCss: (name, ref) =>
        own(this.clip.tokens, ref.token) &&
        filled({ css: `var(--${name})`, refs: { [name]: ref } }, this.clip.tokens),
      lostDeclaration: (key) => this.left.add(`a declaration of ${keyParts(key).property}`),
    };
  }

  private named(named: Named, node: TreeNode | undefined): string | undefined {
    const { there, clip } = this;
    const lost = (what: string): undefined => void this.left.add(what);
    switch (named.is) {
      case 'component':
        return there.component(named.id);
      case 'style':
        return there.style(named.id) ?? lost('a shared style that is gone');
      case 'theme':
        return there.theme(named.id) ?? lost('a theme that this site does not have');
      case 'token':
        return there.token(named.id);
      case 'width': {
        const max = own(clip.widths, named.id)?.max;
        const width = max === undefined ? 'a width' : `${max} px`;
        return there.width(named.id) ?? lost(`what was declared at ${width}`);
      }
      case 'asset': {
        const asset = there.asset(named.id);
        if (asset !== undefined || named.as === 'still') return asset;
        return lost(`a ${named.as} that is gone`);
      }
      case 'entry': {
        const what =
          named.by === 'link' ? 'a link to a page of the other site' : 'an entry of the other site';
        return there.entry(named.id) ?? lost(what);
      }
      case 'page':
        return there.page(named.id) ?? lost('a link to a page of the other site');
      case 'type':
        return there.type(named.id);
      case 'property': {
        const label = own(clip.components, named.of)?.properties[named.id]?.label;
        return there.property(named.of, named.id) ?? lost(`the value of ${label ?? 'a property'}`);
      }
      case 'slot':
        return there.slot(named.of, named.id);
      case 'part':
        return this.part(named.of, named.id, node);
    }
  }

  /** A part of a component: of one that is here already, that which is called the same there. */
  private part(component: string, id: string, node: TreeNode | undefined): string | undefined {
    const here = docOf(this.documents, 'component', this.there.component(component) ?? '');
    if (!here || node === undefined) return id;
    const name = partNameOf(own(own(this.clip.components, component)?.nodes ?? {}, id));
    const part = partsIn(here.nodes).find(([, each]) => each === name)?.[0];
    if (part === undefined) this.left.add(`the look of ${name ?? 'a part that is gone'}`);
    return part;
  }

  /** A token that stands for a value: what it holds, where that is a value of the kind. */
  private tokenValue(kind: 'colour' | 'length', token: string): unknown {
    const { tokens } = this.clip;
    const css =
      own(tokens, token) &&
      filled({ css: 'var(--it)', refs: { it: { token, type: kind } } }, tokens);
    const value = css === undefined ? null : (kindOf(kind).parse?.(css, { kind } as never) ?? null);
    if (value === null) this.left.add('a token that this site does not have');
    return value;
  }

  private node(node: TreeNode, at: Reader): TreeNode {
    const mapped = mapNode(node, this.naming(at, node));
    if (node.kind !== 'element' && node.kind !== 'instance') return mapped;
    return at === 'here' && node.chosen ? this.withChoices(mapped, node.chosen) : mapped;
  }

  /** A node with what was chosen for it by what cannot be read there: it has that for good then. */
  private withChoices(mapped: TreeNode, chosen: NonNullable<ElementNode['chosen']>): TreeNode {
    let made = mapped as ElementNode | InstanceNode;
    for (const kind of CHOSEN) {
      const source = chosen[kind];
      if (!source || own(made.chosen ?? {}, kind)) continue;
      const { value } = this.held(source) ?? {};
      if (typeof value !== 'string') continue;
      if (kind === 'tag' && made.kind === 'element') made = { ...made, tag: value };
      if (kind === 'theme') made = { ...made, theme: value };
      if (kind === 'style') made = { ...made, shared: { ...made.shared, [value]: true } };
    }
    return made;
  }

  /** A source where it stands in a node, with what is said where it cannot be read there, and what takes its place. */
  private sourceAt(
    source: Source,
    at: Reader,
    [member, name, ...rest]: readonly string[],
    node: TreeNode | undefined,
  ): Source | undefined {
    const nothing = () => undefined;
    switch (member) {
      case 'text':
        return this.source(source, at, 'a text', () => text(''));
      case 'shown':
        return this.source(source, at, 'whether something shows', nothing);
      case 'attributes':
        return this.source(source, at, name!, nothing);
      case 'values': {
        const component =
          node?.kind === 'instance' ? own(this.clip.components, node.component) : undefined;
        const label = component?.properties[name!]?.label ?? 'a property';
        return this.source(source, at, label, nothing);
      }
      case 'query':
        if (name === 'from')
          return this.source(source, at, 'a list', () =>
            emptyLiteral({ kind: 'list', fields: {} }),
          );
        if (name === 'where') return this.source(source, at, 'a condition', nothing);
        return this.source(source, at, QUERIED[name!] ?? 'a repeat', nothing);
      case 'chosen':
        // Elsewhere it has for good what was chosen for it (see `withChoices`).
        return this.read(source, at);
      default:
        return this.source(source, at, rest.length > 0 ? 'a declaration' : 'a value', nothing);
    }
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

  private value(literal: Literal): unknown {
    const { is: _, whenEmpty: __, ...typed } = literal;
    return mapTyped(typed as Typed, this.naming('here')).value;
  }

  private block(block: Block, at: Reader): Block {
    return mapBlock(block, this.naming(at));
  }

  private declared(declared: Block[string]): Block[string] | undefined {
    return mapDeclared(declared, this.naming('here'));
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
      const value = here === undefined ? undefined : this.declared(theirs.value);
      if (here !== undefined && value) taken[here] = { ...own(tokens, here)!, value };
    }
    // The map grows while it is gone through: a token may be made from further ones.
    for (const [id, here] of this.there.comingTokens) {
      const theirs = own(this.clip.tokens, id);
      const value = theirs && this.declared(theirs.value);
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
      properties[property] = { ...made, type: mapType(made.type, this.naming(doc)), default: held };
    }
    const rules: ComponentDoc['rules'] = {};
    for (const [rule, { patch, ...rest }] of Object.entries(doc.rules))
      rules[rule] = {
        ...rest,
        patch: Object.fromEntries(
          Object.entries(patch).map(([node, each]) => {
            const stored = own(doc.nodes, node);
            return [node, mapPatch(each, stored, this.naming(doc, stored))];
          }),
        ),
      };
    const { slots } = mapDefinition(
      { ...doc, nodes: {}, properties: {}, rules: {} },
      this.naming(doc),
    );
    return { ...doc, id, nodes, properties, slots, rules };
  }
}

/** What of a query is bound, in words. */
const QUERIED: Readonly<Record<string, string>> = {
  limit: 'a limit',
  offset: 'an offset',
  related: 'what a repeat is related to',
};

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
