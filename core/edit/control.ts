import { Type, type Static } from '@sinclair/typebox';
import {
  attributeType,
  BOOLEAN,
  childrenOf,
  docOf,
  type Documents,
  inOrder,
  kindOf,
  type Literal,
  type NodeId,
  own,
  type Property,
  RICH,
  rootOf,
  Source,
  TEXT,
  Tree,
  type TreeDoc,
  type TreeNode,
  type TypeSpec,
  usualAttributesOf,
} from '../model';
import { type Control, sourceAt } from '../resolve';
import { Id } from './args';
import { nodeName } from './names';

/** Which of a node's sources is meant, as an argument of edits. */
export const ControlArg = Type.Union([
  Type.Object({ of: Type.Literal('text') }, { additionalProperties: false }),
  Type.Object({ of: Type.Literal('shown') }, { additionalProperties: false }),
  Type.Object(
    { of: Type.Literal('attribute'), name: Type.String({ pattern: '^[a-z][a-z-]*$' }) },
    { additionalProperties: false },
  ),
  Type.Object({ of: Type.Literal('value'), property: Id }, { additionalProperties: false }),
]);

export type ControlArg = Static<typeof ControlArg>;

/** The members that lead to a control's source in its node. */
export function controlPath(control: Control): string[] {
  switch (control.of) {
    case 'text':
      return ['text'];
    case 'shown':
      return ['shown'];
    case 'attribute':
      return ['attributes', control.name];
    case 'value':
      return ['values', control.property];
  }
}

/** The type of value a control takes; nothing when the node has no such control. */
export function controlType(
  documents: Documents,
  node: TreeNode,
  control: Control,
): TypeSpec | undefined {
  switch (control.of) {
    case 'text':
      return node.kind === 'text' ? (node.rich ? RICH : TEXT) : undefined;
    case 'shown':
      return node.kind === 'slot' || node.kind === 'repeat' ? undefined : BOOLEAN;
    case 'attribute':
      return node.kind === 'element' ? attributeType(node.tag, control.name) : undefined;
    case 'value':
      return node.kind === 'instance'
        ? propertyOf(documents, node.component, control.property)?.type
        : undefined;
  }
}

/** A property of a component, when both are there. */
export function propertyOf(
  documents: Documents,
  component: string,
  property: string,
): Property | undefined {
  const doc = docOf(documents, 'component', component);
  return doc && own(doc.properties, property);
}

/** What something new of a type holds, as a literal; what shows or not begins as shown. */
export function emptyLiteral(type: TypeSpec): Literal {
  return { is: 'value', type: type.kind, value: kindOf(type.kind).empty } as Literal;
}

/** A control of a tree, with everything a table of controls shows. */
export interface ControlRow {
  readonly node: NodeId;
  readonly control: Control;
  readonly type: TypeSpec;
  /** What the control is on its own: `text`, `shown`, `address`. */
  readonly what: string;
  /** The element it belongs to: a text's controls belong to the element around it. */
  readonly element: NodeId;
  readonly elementName: string;
  /** The suggested label of a property made of it: `Heading text`. */
  readonly label: string;
  readonly source: Source | undefined;
  /** What a property made of it has by default. */
  readonly byDefault: Literal;
}

const WORDS: Record<string, string> = { href: 'address', src: 'picture', alt: 'alternative text' };

/** What an attribute is called where people see it. */
export function attributeWord(name: string): string {
  return own(WORDS, name) ?? name;
}

/** Every control of a tree that could be exposed, in screen order; below one node when it is named. */
export function controlsOf(documents: Documents, doc: TreeDoc, only?: NodeId): ControlRow[] {
  const rows: ControlRow[] = [];
  const tree: Tree = doc.nodes;
  const children = childrenOf(tree);
  const root = rootOf(tree);

  const add = (node: NodeId, control: Control, what: string, element: NodeId) => {
    const stored = tree[node]!;
    const type = controlType(documents, stored, control);
    if (!type) return;
    const elementName = nodeName(documents, tree[element]!, doc);
    const source = sourceAt(stored, control);
    rows.push({
      node,
      control,
      type,
      what,
      element,
      elementName,
      label: labelOf(elementName, what),
      source,
      byDefault: defaultOf(documents, stored, control, type),
    });
  };
  const visit = (id: NodeId) => {
    const node = tree[id]!;
    if (node.kind === 'element') {
      if (id !== root) add(id, { of: 'shown' }, 'shown', id);
      const texts = children.of(id).filter((child) => tree[child]!.kind === 'text');
      for (const child of texts) add(child, { of: 'text' }, 'text', id);
      // Those people set all the time, then what else was given to it.
      const usual = usualAttributesOf(node.tag);
      const others = Object.keys(node.attributes).filter((name) => !usual.includes(name));
      for (const name of [...usual, ...others.sort()])
        add(id, { of: 'attribute', name }, attributeWord(name), id);
    }
    if (node.kind === 'instance') {
      if (id !== root) add(id, { of: 'shown' }, 'shown', id);
      const component = docOf(documents, 'component', node.component);
      if (component)
        for (const [property, { label }] of inOrder(component.properties))
          add(id, { of: 'value', property }, label.toLowerCase(), id);
    }
    for (const child of children.all(id)) visit(child);
  };
  if (only === undefined) visit(root);
  else visit(only);
  return rows;
}

function labelOf(element: string, what: string): string {
  if (what === 'picture' && element === 'Picture') return 'Picture';
  if (what === 'text' && element === 'Text') return 'Text';
  const label = `${element} ${what}`;
  return label[0]!.toUpperCase() + label.slice(1);
}

/** What a property made of a control has by default: the value it holds, else an inner property's default, else empty. */
export function defaultOf(
  documents: Documents,
  node: TreeNode,
  control: Control,
  type: TypeSpec,
): Literal {
  const source = sourceAt(node, control);
  const inner =
    node.kind === 'instance' && control.of === 'value'
      ? propertyOf(documents, node.component, control.property)?.default
      : undefined;
  for (const held of [source, inner]) {
    if (held?.is !== 'value') continue;
    const { whenEmpty: _, ...literal } = held;
    return literal as Literal;
  }
  return emptyLiteral(type);
}

/** A key for a label: `Heading text` gives `headingText`; a number is put behind one that is taken. */
export function keyFor(label: string, taken: ReadonlySet<string>): string {
  const words = label
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .replace(/[^a-zA-Z0-9]+/g, ' ')
    .trim()
    .split(' ')
    .filter(Boolean);
  const joined = words
    .map((word, i) => (i === 0 ? word[0]!.toLowerCase() : word[0]!.toUpperCase()) + word.slice(1))
    .join('')
    .slice(0, 70);
  const base = /^[a-z]/.test(joined) ? joined : 'p' + joined;
  let key = base;
  for (let n = 2; taken.has(key); n += 1) key = base + n;
  return key;
}
