import { Type } from '@sinclair/typebox';
import {
  CHOSEN,
  chainOf,
  childrenOf,
  docOf,
  kindOf,
  newId,
  nodeIn,
  NONE,
  orderBetween,
  own,
  partNameOf,
  pointer,
  querySources,
  rootOf,
  sourcesOf,
  withDescendants,
  withSources,
  treeDocOf,
  type Block,
  type ComponentDoc,
  type Declared,
  type Documents,
  type InstanceNode,
  type NodeId,
  type Place,
  type Query,
  type Ref,
  type RepeatNode,
  type SlotNode,
  type Source,
  type TreeNode,
  type Typed,
  type TypeSpec,
} from '../../model';
import { axesOf, keyParts, overlaid, rulesInOrder } from '../../style';
import {
  convert,
  dataOf,
  declaredType,
  evaluate,
  runQuery,
  type Item,
  type Names,
  type Result,
} from '../../value';
import { exact, Id } from '../args';
import { change, type Change, type Refusal } from '../changes';
import { defineEdit, gone, refuse } from '../define';
import { componentName } from '../names';
import { withSourceAt } from './making';

/** A node of a definition, behind the records of lists it is made for: `record/node`. */
const COPY = '^[a-z][a-z0-9-]*(/[a-z][a-z0-9-]*)*$';

/**
 * Makes an instance plain elements: what its definition says of it stands here from then on, with the values that it has.
 * Later changes to the definition reach it no more.
 */
export const makePlain = defineEdit({
  args: Type.Object(
    {
      doc: Id,
      node: Id,
      /** New ids for the nodes of the definition, by theirs; behind the records of lists for which they stand. */
      ids: Type.Record(Type.String({ pattern: COPY, maxLength: 400 }), Id, {
        ...exact,
        maxProperties: 5000,
      }),
    },
    exact,
  ),
  run(documents, { doc, node, ids }) {
    const stored = nodeIn(documents, doc, node);
    if (stored?.kind !== 'instance') return gone('The instance', doc);
    const component = docOf(documents, 'component', stored.component);
    if (!component) return gone('The component', stored.component);
    return new Plain(documents, doc, node, stored, component, (copy) => own(ids, copy)).made();
  },
  says(documents, { doc, node }) {
    const stored = nodeIn(documents, doc, node);
    return `made ${stored?.kind === 'instance' ? componentName(documents, stored.component) : 'an instance'} plain elements`;
  },
});

/** New ids for all that an instance becomes when it is made plain, as the edit takes them. */
export function idsWhenPlain(
  documents: Documents,
  doc: string,
  node: NodeId,
  makeId: () => string = newId,
): Record<string, string> {
  const ids: Record<string, string> = {};
  const stored = nodeIn(documents, doc, node);
  const component =
    stored?.kind === 'instance' ? docOf(documents, 'component', stored.component) : undefined;
  if (stored?.kind === 'instance' && component)
    new Plain(documents, doc, node, stored, component, (copy) => (ids[copy] ??= makeId())).made();
  return ids;
}

/** One record after another of the lists around what is made: which it is, as ids are kept under, and what each holds. */
interface Round {
  readonly way: string;
  readonly items: Readonly<Record<NodeId, Item>>;
}

const NO_ROUND: Round = { way: '', items: {} };

type Look = Extract<TreeNode, { kind: 'element' | 'instance' }>;

class Plain {
  private fault: Refusal | undefined;
  private round = NO_ROUND;
  private readonly grown: Record<NodeId, TreeNode> = {};
  /** What filled its slots, and goes on standing. */
  private readonly moved: Record<NodeId, TreeNode> = {};

  constructor(
    private readonly documents: Documents,
    private readonly doc: string,
    private readonly node: NodeId,
    private readonly instance: InstanceNode,
    private readonly component: ComponentDoc,
    private readonly newIdFor: (copy: string) => string | undefined,
  ) {}

  made(): Change[] | Refusal {
    const { component, node, doc } = this;
    const tree = treeDocOf(this.documents, doc)!;
    const root = rootOf(component.nodes);
    const made = this.grown;
    const { moved } = this;
    const filled = childrenOf(tree.nodes);
    this.grow(root, this.instance.place);
    // What fills a slot that is gone goes with the instance; undo brings it back.
    const lost = filled
      .all(node)
      .filter((each) => !moved[each])
      .flatMap((each) => withDescendants(tree.nodes, each));
    if (this.fault) return this.fault;
    const isRoot = this.instance.place.parent === null;
    if (isRoot && made[this.idOf(root)]?.kind === 'text')
      return refuse('The root of a document is an element or an instance.', doc);
    return [
      ...lost
        .reverse()
        .map((each) => change(doc, pointer('nodes', each), tree.nodes[each], undefined)),
      change(doc, pointer('nodes', node), this.instance, undefined),
      ...Object.entries(made).map(([id, now]) => change(doc, pointer('nodes', id), undefined, now)),
      ...Object.entries(moved).map(([id, now]) =>
        change(doc, pointer('nodes', id, 'place'), tree.nodes[id]!.place, now.place),
      ),
    ];
  }

  /** Makes a node of the definition and what stands in it, at a place; a list is written out record by record. */
  private grow(id: NodeId, place: Place): void {
    const from = this.component.nodes[id]!;
    if (from.kind === 'slot') return this.fill(id, from, place);
    if (from.kind === 'repeat' && 'list' in from.query.from) return this.unroll(id, from, place);
    const parent = this.idOf(id);
    this.grown[parent] = { ...this.plain(id, from), place } as TreeNode;
    for (const child of childrenOf(this.component.nodes).all(id))
      this.grow(child, { ...this.component.nodes[child]!.place, parent });
  }

  /** What fills a slot stands where the slot stood; nothing in it: what the definition shows then. */
  private fill(id: NodeId, { slot }: SlotNode, place: Place): void {
    const { nodes } = treeDocOf(this.documents, this.doc)!;
    const next = this.placesFrom(id, place);
    const inside = childrenOf(nodes).of(this.node, slot);
    for (const each of inside) this.moved[each] = { ...nodes[each]!, place: next() };
    if (inside.length > 0) return;
    for (const each of childrenOf(this.component.nodes).of(id)) this.grow(each, next());
  }

  /** Puts what a list shows in the place of the repeat: what stands in it once for each record, with what that holds. */
  private unroll(id: NodeId, repeat: RepeatNode, place: Place): void {
    const items = this.itemsOf(repeat.query);
    if (!items) return;
    const children = childrenOf(this.component.nodes);
    const next = this.placesFrom(id, place);
    if (items.length === 0) for (const each of children.of(id, NONE)) this.grow(each, next());
    const around = this.round;
    for (const item of items) {
      this.round = { way: `${around.way}${item.id}/`, items: { ...around.items, [id]: item } };
      for (const each of children.of(id)) this.grow(each, next());
    }
    this.round = around;
  }

  /** Places one after the other where one thing stood, before what follows it in the definition. */
  private placesFrom(id: NodeId, place: Place): () => Place {
    const { nodes } = this.component;
    const { parent, slot } = nodes[id]!.place;
    const beside = parent === null ? [] : childrenOf(nodes).of(parent, slot);
    const follows = beside[beside.indexOf(id) + 1];
    const end = follows === undefined ? null : nodes[follows]!.place.order;
    let { order } = place;
    return () => {
      const at = { ...place, order };
      order = orderBetween(order, end !== null && end > order ? end : null);
      return at;
    };
  }

  /** The records of a list that are shown, where that does not depend on content. */
  private itemsOf(query: Query): readonly Item[] | undefined {
    const names: Names = {
      data: dataOf(this.documents),
      properties: {},
      types: {},
      page: undefined,
      repeats: this.round.items,
    };
    const properties: Record<string, Result> = {};
    const types: Record<string, TypeSpec> = {};
    for (const [id, { type }] of Object.entries(this.component.properties)) {
      types[id] = type;
      const value = this.valueOf(id);
      if (chainOf(value).every(({ is }) => is === 'value'))
        properties[id] = evaluate(value, type, names);
    }
    const known = querySources(query).every(([, source]) =>
      chainOf(source).every(
        (each) =>
          each.is === 'value' ||
          (each.is === 'property' && own(properties, each.property) !== undefined) ||
          (each.is === 'field' && each.from !== 'page' && own(this.round.items, each.from.repeat)),
      ),
    );
    const items = known ? runQuery(query, { ...names, properties, types }) : undefined;
    if (items && typeof items !== 'function') return items;
    this.fault ??= refuse(
      'Which records it shows depends on content; that cannot be made plain.',
      this.doc,
    );
    return undefined;
  }

  private idOf(id: NodeId): NodeId {
    const given = this.newIdFor(this.round.way + id);
    if (given === undefined || own(treeDocOf(this.documents, this.doc)!.nodes, given))
      this.fault ??= refuse('The ids given are taken, or too few.', this.doc);
    return given ?? id;
  }

  /** A node of the definition with what the instance gives it, its place apart. */
  private plain(id: NodeId, from: TreeNode): TreeNode {
    let node = this.withRules(id, from);
    for (const [path, source] of sourcesOf(node)) {
      if (path[0] === 'style' || path[0] === 'chosen') continue;
      const now = this.given(source);
      if (now !== source) node = withSourceAt(node, path, now);
    }
    if (node.kind !== 'element' && node.kind !== 'instance') return node;
    const look = this.look(node);
    const { part: _, ...unmarked } = look;
    if (id === rootOf(this.component.nodes)) return this.root(unmarked);
    const said = partNameOf(node) === undefined ? undefined : own(this.instance.parts ?? {}, id);
    return said ? { ...unmarked, style: this.overlaid(look.style, said) } : unmarked;
  }

  /** What rules say of it that hold with the options the instance has. */
  private withRules(id: NodeId, from: TreeNode): TreeNode {
    let node = from;
    for (const [, rule] of rulesInOrder(this.component)) {
      const patch = own(rule.patch, id);
      const when = patch && axesOf(rule, this.component.properties);
      if (!patch || !when) continue;
      let holds = true;
      for (const { property, option } of when) {
        const value = this.valueOf(property);
        if (value.is !== 'value')
          this.fault ??= refuse(
            'Which variant it is depends on content; that cannot be made plain.',
            this.doc,
          );
        else if (value.value !== option) holds = false;
      }
      if (!holds) continue;
      const { pseudo } = rule.when;
      const isRoot = id === rootOf(this.component.nodes);
      if (pseudo?.of === 'root' && !isRoot) {
        this.fault ??= refuse(
          'Something in it changes when the whole is pointed at; plain elements cannot say that.',
          this.doc,
        );
        continue;
      }
      if (node.kind === 'element' || node.kind === 'instance')
        node = {
          ...node,
          style: this.overlaid(
            node.style,
            pseudo ? inState(patch.style ?? {}, pseudo.is) : (patch.style ?? {}),
          ),
        };
      if (pseudo) continue;
      if (patch.shown && node.kind !== 'slot' && node.kind !== 'repeat')
        node = { ...node, shown: patch.shown };
      if (patch.attributes && node.kind === 'element')
        node = { ...node, attributes: { ...node.attributes, ...patch.attributes } };
      if (patch.values && node.kind === 'instance')
        node = { ...node, values: { ...node.values, ...patch.values } };
    }
    return node;
  }

  private look(node: Look): Look {
    const style: Record<string, Declared> = {};
    for (const key in node.style) {
      const declared = this.declared(node.style[key]!);
      if (declared) style[key] = declared;
    }
    let made: Look = { ...node, style };
    if (!made.chosen) return made;
    const chosen: Record<string, Source> = {};
    for (const kind of CHOSEN) {
      const source = made.chosen?.[kind];
      const now = source && this.given(source);
      if (!now) continue;
      if (now.is !== 'value') chosen[kind] = now;
      else if (typeof now.value === 'string') {
        if (kind === 'tag' && made.kind === 'element') made = { ...made, tag: now.value };
        if (kind === 'theme') made = { ...made, theme: now.value };
        if (kind === 'style') made = { ...made, shared: { ...made.shared, [now.value]: true } };
      }
    }
    const { chosen: _, ...rest } = made;
    return (Object.keys(chosen).length > 0 ? { ...rest, chosen } : rest) as Look;
  }

  /** The root, with what the instance says of it: that is the stronger, whichever way it is said. */
  private root(look: Look): Look {
    const { style, shared, theme, name, shown, chosen, part } = this.instance;
    const said = new Set(
      Object.keys(shared ?? {}).flatMap((id) =>
        Object.keys(docOf(this.documents, 'style', id)?.style ?? {}).map(
          (key) => `${keyParts(key).property} ${keyParts(key).state ?? ''}`,
        ),
      ),
    );
    const kept = Object.fromEntries(
      Object.entries(look.style).filter(
        ([key]) => !said.has(`${keyParts(key).property} ${keyParts(key).state ?? ''}`),
      ),
    );
    const begins = theme ?? look.theme;
    const all = { ...look.shared, ...shared };
    return {
      ...look,
      ...(name === undefined ? {} : { name }),
      ...(part === undefined ? {} : { part }),
      style: this.overlaid(kept, style),
      ...(Object.keys(all).length > 0 ? { shared: all } : {}),
      ...(begins === undefined ? {} : { theme: begins }),
      ...(chosen || look.chosen ? { chosen: { ...look.chosen, ...chosen } } : {}),
      ...(shown ? { shown } : {}),
    } as Look;
  }

  private overlaid(weaker: Block, stronger: Block): Block {
    return overlaid(weaker, stronger, this.documents.site);
  }

  /** What the instance has for a property: set here, or by default. */
  private valueOf(property: string): Source {
    const byDefault = own(this.component.properties, property)?.default;
    const set = own(this.instance.values, property);
    if (!set) return byDefault ?? { is: 'value', type: 'text', value: null };
    if (set.whenEmpty !== 'default' || !byDefault) return set;
    return { ...set, whenEmpty: { use: byDefault } };
  }

  /** A source with what the instance has in the place of its properties. */
  private given(source: Source): Source {
    return withSources(source, (each) => {
      const item =
        each.is === 'field' && each.from !== 'page'
          ? own(this.round.items, each.from.repeat)
          : undefined;
      if (item && each.is === 'field') return this.heldBy(item, each);
      if (
        each.is === 'field' &&
        each.from !== 'page' &&
        own(this.component.nodes, each.from.repeat)
      )
        return { ...each, from: { repeat: this.idOf(each.from.repeat) } };
      if (each.is !== 'property') return each;
      const value = this.valueOf(each.property);
      const { path = [], whenEmpty } = each;
      if (path.length === 0) return whenEmpty ? endedBy(value, whenEmpty) : value;
      if (value.is === 'field') return { ...value, path: [...value.path, ...path] };
      if (value.is === 'property') return { ...value, path: [...(value.path ?? []), ...path] };
      this.fault ??= refuse(
        'It reads fields of an entry that was chosen; that cannot be made plain.',
        this.doc,
      );
      return each;
    });
  }

  /** What a record holds in a field, as a value of its own. */
  private heldBy(item: Item, source: FieldSource): Source {
    const data = dataOf(this.documents);
    const [field = '', ...more] = source.path;
    const type = declaredType(item.type, field, data);
    const held = own(item.values, field);
    const { whenEmpty } = source;
    const end = whenEmpty === undefined ? {} : { whenEmpty };
    if (more.length > 0) {
      this.fault ??= refuse(
        'It reads fields of an entry that was chosen; that cannot be made plain.',
        this.doc,
      );
      return source;
    }
    const value = held && type ? convert(held, type, data) : null;
    if (value) return { is: 'value', ...value, ...end } as Source;
    return { is: 'value', type: 'text', value: null, ...end };
  }

  /** A declaration with values in the place of what fed it. */
  private declared(declared: Declared): Declared | undefined {
    let { css } = declared;
    const refs: Record<string, Ref> = {};
    for (const [name, ref] of Object.entries(declared.refs ?? {})) {
      if (!('source' in ref)) {
        refs[name] = ref;
        continue;
      }
      const source = this.given(ref.source);
      const alone = chainOf(source);
      if (alone.some((each) => each.is !== 'value')) refs[name] = { ...ref, source };
      else {
        const value = alone.find((each) => each.is === 'value' && each.value !== null) as
          Typed | undefined;
        if (!value) return undefined;
        const { value: held } = value;
        if (typeof held === 'object' && held && 'token' in held && ref.type !== 'image')
          refs[name] = { token: held.token, type: ref.type };
        else if (ref.type === 'image') refs[name] = { ...ref, source };
        else
          css = css.replaceAll(
            `var(--${name})`,
            kindOf(value.type).spell?.(held as never) ?? String(held),
          );
      }
    }
    return Object.keys(refs).length > 0 ? { css, refs } : { css };
  }
}

/** A source with another decision at the end of its chain. */
function endedBy(source: Source, whenEmpty: NonNullable<Source['whenEmpty']>): Source {
  return typeof source.whenEmpty === 'object'
    ? { ...source, whenEmpty: { use: endedBy(source.whenEmpty.use, whenEmpty) } }
    : { ...source, whenEmpty };
}

type FieldSource = Extract<Source, { is: 'field' }>;

function inState(block: Block, state: string): Block {
  return Object.fromEntries(Object.entries(block).map(([key, each]) => [key + state, each]));
}
