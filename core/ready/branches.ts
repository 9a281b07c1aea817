import {
  newId,
  ordersFor,
  text,
  type Block,
  type NodeId,
  type Place,
  type Source,
  type Tree,
  type TreeNode,
  type Whens,
} from '../model';

/** A branch of a tree before it has ids: what ready sections, elements and the demo are written as. */
export interface Branch {
  readonly id?: NodeId;
  readonly name?: string;
  readonly tag?: string;
  readonly component?: string;
  readonly slot?: string;
  readonly repeat?: Extract<TreeNode, { kind: 'repeat' }>['query'];
  readonly attributes?: Record<string, Source>;
  readonly values?: Record<string, Source>;
  readonly style?: Block;
  /** The shared styles put on it. */
  readonly shared?: Readonly<Record<string, true>>;
  /** The theme that begins with it. */
  readonly theme?: string;
  /** The name under which whoever places the definition may style it. */
  readonly part?: string;
  /** What an instance says of parts, by their nodes. */
  readonly parts?: Readonly<Record<NodeId, Block>>;
  readonly shown?: Source;
  /** What an element does when something happens to it. */
  readonly whens?: Whens;
  readonly text?: string | Source;
  /** A text that is rich: in a line of words, or with blocks of its own; or an icon. */
  readonly rich?: 'line' | 'blocks' | 'icon';
  readonly children?: readonly Branch[];
  /** What fills the slots of an instance, or what a repeat shows for no entries (`none`). */
  readonly slots?: Record<string, readonly Branch[]>;
}

/** The nodes of a branch, with new ids where it names none, standing at a place. */
export function plant(
  branch: Branch,
  at: Place,
  makeId: () => NodeId = newId,
): { root: NodeId; nodes: Tree } {
  const nodes: Record<string, TreeNode> = {};
  const grow = (from: Branch, where: Place): NodeId => {
    const id = from.id ?? makeId();
    nodes[id] = nodeOf(from, where);
    const own = from.text !== undefined && from.tag ? [{ text: from.text }] : [];
    const inner = [...own, ...(from.children ?? [])];
    ordersFor(inner.length).forEach((order, i) => grow(inner[i]!, { parent: id, order }));
    for (const [slot, list] of Object.entries(from.slots ?? {}))
      ordersFor(list.length).forEach((order, i) => grow(list[i]!, { parent: id, slot, order }));
    return id;
  };
  const root = grow(branch, at);
  return { root, nodes };
}

function nodeOf(from: Branch, place: Place): TreeNode {
  const common = from.name === undefined ? { place } : { place, name: from.name };
  const shown = from.shown === undefined ? {} : { shown: from.shown };
  if (from.tag)
    return {
      kind: 'element',
      ...common,
      tag: from.tag,
      attributes: from.attributes ?? {},
      style: from.style ?? {},
      ...(from.shared ? { shared: from.shared } : {}),
      ...(from.theme === undefined ? {} : { theme: from.theme }),
      ...(from.part === undefined ? {} : { part: from.part }),
      ...shown,
      ...(from.whens ? { whens: from.whens } : {}),
    };
  if (from.component)
    return {
      kind: 'instance',
      ...common,
      component: from.component,
      values: from.values ?? {},
      style: from.style ?? {},
      ...(from.shared ? { shared: from.shared } : {}),
      ...(from.parts ? { parts: from.parts } : {}),
      ...(from.theme === undefined ? {} : { theme: from.theme }),
      ...(from.part === undefined ? {} : { part: from.part }),
      ...shown,
    };
  if (from.slot) return { kind: 'slot', ...common, slot: from.slot, ...shown };
  if (from.repeat) return { kind: 'repeat', ...common, query: from.repeat };
  const source = from.text ?? '';
  return {
    kind: 'text',
    ...common,
    text: typeof source === 'string' ? text(source) : source,
    ...(from.rich ? { rich: from.rich } : {}),
    ...shown,
  };
}
