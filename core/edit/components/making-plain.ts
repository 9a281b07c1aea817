import { Type } from '@sinclair/typebox';
import {
  CHOSEN,
  chainOf,
  childrenOf,
  docOf,
  kindOf,
  nodeIn,
  orderBetween,
  own,
  pointer,
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
  type Ref,
  type Source,
  type TreeNode,
  type Typed,
} from '../../model';
import { axesOf, keyParts, rulesInOrder } from '../../style';
import { exact, Id } from '../args';
import { change, type Change, type Refusal } from '../changes';
import { defineEdit, gone, refuse } from '../define';
import { componentName } from '../names';
import { withSourceAt } from './making';

/**
 * Makes an instance plain elements: what its definition says of it stands here from then on, with the values that it has.
 * Later changes to the definition reach it no more.
 */
export const makePlain = defineEdit({
  args: Type.Object(
    {
      doc: Id,
      node: Id,
      /** New ids for the nodes of the definition, by theirs. */
      ids: Type.Record(Id, Id, { ...exact, maxProperties: 5000 }),
    },
    exact,
  ),
  run(documents, { doc, node, ids }) {
    const stored = nodeIn(documents, doc, node);
    if (stored?.kind !== 'instance') return gone('The instance', doc);
    const component = docOf(documents, 'component', stored.component);
    if (!component) return gone('The component', stored.component);
    const made = new Plain(documents, doc, node, stored, component, ids).made();
    return made;
  },
  says(documents, { doc, node }) {
    const stored = nodeIn(documents, doc, node);
    return `made ${stored?.kind === 'instance' ? componentName(documents, stored.component) : 'an instance'} plain elements`;
  },
});

type Look = Extract<TreeNode, { kind: 'element' | 'instance' }>;

class Plain {
  private fault: Refusal | undefined;

  constructor(
    private readonly documents: Documents,
    private readonly doc: string,
    private readonly node: NodeId,
    private readonly instance: InstanceNode,
    private readonly component: ComponentDoc,
    private readonly ids: Readonly<Record<string, string>>,
  ) {}

  made(): Change[] | Refusal {
    const { component, node, doc } = this;
    const tree = treeDocOf(this.documents, doc)!;
    const root = rootOf(component.nodes);
    const made: Record<NodeId, TreeNode> = {};
    const moved: Record<NodeId, TreeNode> = {};
    const filled = childrenOf(tree.nodes);
    for (const id of withDescendants(component.nodes, root)) {
      const from = component.nodes[id]!;
      const place =
        id === root
          ? this.instance.place
          : {
              ...from.place,
              parent: this.idOf(from.place.parent!),
            };
      if (from.kind === 'slot') continue;
      made[this.idOf(id)] = { ...this.plain(id, from), place } as TreeNode;
    }
    // What fills a slot stands where the slot stood; nothing in it: what the definition shows then.
    for (const id of Object.keys(component.nodes).sort()) {
      const slot = component.nodes[id]!;
      if (slot.kind !== 'slot') continue;
      const inside = filled.of(node, slot.slot);
      const fallback = childrenOf(component.nodes).of(id);
      const { parent, slot: within } = slot.place;
      const beside = childrenOf(component.nodes).of(parent!, within);
      const next = beside[beside.indexOf(id) + 1];
      let order = slot.place.order;
      const end = next === undefined ? null : component.nodes[next]!.place.order;
      const at = () => {
        const place = {
          parent: this.idOf(parent!),
          ...(within === undefined ? {} : { slot: within }),
          order,
        };
        order = orderBetween(order, end);
        return place;
      };
      for (const each of inside) moved[each] = { ...tree.nodes[each]!, place: at() };
      for (const each of fallback) {
        const copy = this.idOf(each);
        if (inside.length > 0)
          for (const gone of withDescendants(component.nodes, each)) delete made[this.idOf(gone)];
        else if (made[copy]) made[copy] = { ...made[copy], place: at() };
      }
    }
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

  private idOf(id: NodeId): NodeId {
    const given = own(this.ids, id);
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
    if (node.kind === 'repeat' && 'list' in node.query.from && node.query.from.list.is === 'value')
      this.fault ??= refuse(
        'It shows a list once for each record; plain elements have no list to show.',
        this.doc,
      );
    if (node.kind !== 'element' && node.kind !== 'instance') return node;
    const look = this.look(node);
    return id === rootOf(this.component.nodes) ? this.root(look) : look;
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
          style: {
            ...node.style,
            ...(pseudo ? inState(patch.style ?? {}, pseudo.is) : patch.style),
          },
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
    const { style, shared, theme, name, shown, chosen } = this.instance;
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
      style: { ...kept, ...style },
      ...(Object.keys(all).length > 0 ? { shared: all } : {}),
      ...(begins === undefined ? {} : { theme: begins }),
      ...(chosen || look.chosen ? { chosen: { ...look.chosen, ...chosen } } : {}),
      ...(shown ? { shown } : {}),
    } as Look;
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

function inState(block: Block, state: string): Block {
  return Object.fromEntries(Object.entries(block).map(([key, each]) => [key + state, each]));
}
