import { Type, type Static } from '@sinclair/typebox';
import {
  allOf,
  attributeType,
  BLOCK_KEY,
  BOOLEAN,
  CHOSEN,
  type ChosenKind,
  type Declared,
  type ElementNode,
  ICON,
  type InstanceNode,
  nodeIn,
  PLAIN_THEME,
  tagFamily,
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
  yesNo,
  mayRefer,
  referredIn,
  writtenIn,
} from '../model';
import { type Control, sourceAt } from '../resolve';
import { FED, feedableType, keyParts } from '../style';
import { Id } from './args';
import { type Change, changeTo } from './changes';
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
  Type.Object(
    {
      of: Type.Literal('chosen'),
      what: Type.Union(CHOSEN.map((what) => Type.Literal(what))),
    },
    { additionalProperties: false },
  ),
  Type.Object(
    { of: Type.Literal('declaration'), key: Type.String({ pattern: BLOCK_KEY }) },
    { additionalProperties: false },
  ),
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
    case 'chosen':
      return ['chosen', control.what];
    case 'declaration':
      return ['style', control.key];
  }
}

/** The control whose source stands at the end of a path into a definition's nodes, where it is of another shape there. */
export function controlAt(path: readonly string[]): Control | undefined {
  const [of, , member, name, refs] = path;
  if (of !== 'nodes') return undefined;
  if (member === 'chosen') return { of: 'chosen', what: name as ChosenKind };
  return member === 'style' && refs === 'refs' && path[5] === FED
    ? { of: 'declaration', key: name! }
    : undefined;
}

/**
 * The changes that give a control a source: where a node says by itself what may be chosen for it, and where something
 * feeds a declaration, what stands there is of another shape than a source. `null` takes it away.
 */
export function giveControl(
  documents: Documents,
  doc: string,
  node: NodeId,
  control: Control,
  source: Source | null,
): Change[] {
  const where = ['nodes', node];
  const stored = nodeIn(documents, doc, node);
  const to = (path: readonly string[], now: unknown) =>
    changeTo(documents, doc, [...where, ...path], now);
  if (control.of === 'declaration')
    return to(
      controlPath(control),
      source === null
        ? undefined
        : declaredBy(control.key, source, declaredAt(stored, control.key)),
    );
  if (control.of !== 'chosen') return to(controlPath(control), source ?? undefined);
  if (stored?.kind !== 'element' && stored?.kind !== 'instance') return [];
  const { what } = control;
  const said = source?.is === 'value' ? source.value : null;
  const by = source?.is === 'value' ? null : source;
  const rest = { ...stored.chosen };
  delete rest[what];
  const chosen = by ? { ...rest, [what]: by } : rest;
  const changes = to(['chosen'], Object.keys(chosen).length > 0 ? chosen : undefined);
  if (what === 'tag')
    return typeof said === 'string' ? [...changes, ...to(['tag'], said)] : changes;
  if (what === 'theme') return [...changes, ...to(['theme'], said ?? undefined)];
  if (typeof said !== 'string') return changes;
  return [...changes, ...to(['shared'], { ...stored.shared, [said]: true })];
}

function declaredAt(node: TreeNode | undefined, key: string): Declared | undefined {
  return node?.kind === 'element' || node?.kind === 'instance' ? own(node.style, key) : undefined;
}

/** A declaration that a source feeds, or that says what a value says; a picture keeps what lies over it. */
function declaredBy(key: string, source: Source, now: Declared | undefined): Declared {
  const type = feedableType(keyParts(key).property)!;
  if (type.kind === 'image') {
    const fed = { [FED]: { source, type: type.kind } };
    return now && own(now.refs ?? {}, FED)
      ? { ...now, refs: { ...now.refs, ...fed } }
      : { css: `var(--${FED})`, refs: fed };
  }
  if (source.is !== 'value' || source.value === null || source.whenEmpty)
    return { css: `var(--${FED})`, refs: { [FED]: { source, type: type.kind } } };
  const { value } = source;
  if (typeof value === 'object' && 'token' in value) {
    const token = type.kind === 'length' ? 'length' : 'colour';
    return { css: 'var(--t)', refs: { t: { token: value.token, type: token } } };
  }
  const spelt = kindOf(type.kind).spell?.(value) ?? String(value as string | number);
  return { css: type.kind === 'length' && spelt === '0px' ? '0' : spelt };
}

/** The type of value a control takes; nothing when the node has no such control. */
export function controlType(
  documents: Documents,
  node: TreeNode,
  control: Control,
): TypeSpec | undefined {
  switch (control.of) {
    case 'text':
      return node.kind === 'text'
        ? node.rich === 'icon'
          ? ICON
          : node.rich
            ? RICH
            : TEXT
        : undefined;
    case 'shown':
      return node.kind === 'repeat' ? undefined : BOOLEAN;
    case 'attribute':
      return node.kind === 'element' ? attributeType(node.tag, control.name) : undefined;
    case 'value':
      return node.kind === 'instance'
        ? propertyOf(documents, node.component, control.property)?.type
        : undefined;
    case 'chosen':
      return node.kind === 'element' || node.kind === 'instance'
        ? choiceType(documents, node, control.what)
        : undefined;
    case 'declaration':
      return node.kind === 'element' || node.kind === 'instance'
        ? declarationType(node, control.key)
        : undefined;
  }
}

/** What a declaration of a node can be given, where what it says now can be said as such a value. */
function declarationType(node: ElementNode | InstanceNode, key: string): TypeSpec | undefined {
  const declared = own(node.style, key);
  const { property, state } = keyParts(key);
  if (!declared || state) return undefined;
  const type = feedableType(property);
  return sourceAt(node, { of: 'declaration', key }) ? type : undefined;
}

/** What may be chosen for a node: tags of the same family, the themes of the site, its shared styles. */
function choiceType(
  documents: Documents,
  node: ElementNode | InstanceNode,
  what: ChosenKind,
): TypeSpec | undefined {
  const all = (ids: readonly string[]) => Object.fromEntries(ids.map((id) => [id, true as const]));
  if (what === 'theme') {
    const themes = Object.keys(documents.tokens.themes ?? {}).sort();
    return themes.length > 0 ? { kind: 'theme', of: all([PLAIN_THEME, ...themes]) } : undefined;
  }
  if (what === 'style') {
    // A modifier is chosen only for what has its base.
    const styles = allOf(documents, 'style').filter(
      ({ base }) => base === null || own(node.shared ?? {}, base),
    );
    return styles.length > 0 ? { kind: 'style', of: all(styles.map(({ id }) => id)) } : undefined;
  }
  const family = node.kind === 'element' ? tagFamily(node.tag) : [];
  return family.length > 1 ? { kind: 'tag', of: all(family) } : undefined;
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

/** Whether a control holds what it shows itself, so that it can become a property. */
export function canBeExposed({ source, control }: ControlRow): boolean {
  // Which element an attribute names is the definition's own.
  if (control.of === 'attribute' && namesElements(control.name, source)) return false;
  return source === undefined || source.is === 'value';
}

const WORDS: Record<string, string> = {
  href: 'address',
  src: 'picture',
  alt: 'alternative text',
  sends: 'comes to the inbox',
  afterwards: 'words afterwards',
  'leads-to': 'page afterwards',
  wrong: 'words when it is wrong',
  trap: 'trap for robots',
};

/** Whether an attribute names elements of its document, in place of words. */
function namesElements(name: string, source: Source | undefined): boolean {
  const words = writtenIn(source)?.value;
  return mayRefer('details', name) && typeof words === 'string' && !!referredIn(words);
}

/** What an attribute is called where people see it. */
export function attributeWord(name: string, tag: string): string {
  return tag === 'video' && name === 'src' ? 'film' : (own(WORDS, name) ?? name);
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
  /** What a node says of its look: the tag of headings and parts of a page, a theme, a shared style, what it declares. */
  const addLook = (id: NodeId, node: ElementNode | InstanceNode) => {
    const one = only === id;
    if (one || (node.kind === 'element' && /^h[1-6]$/.test(node.tag)) || node.chosen?.tag)
      add(id, { of: 'chosen', what: 'tag' }, 'tag', id);
    if (one || id === root || node.theme !== undefined || node.chosen?.theme)
      add(id, { of: 'chosen', what: 'theme' }, 'theme', id);
    if (one || node.chosen?.style) add(id, { of: 'chosen', what: 'style' }, 'shared style', id);
    for (const key of Object.keys(node.style).sort()) {
      const { property, width, state } = keyParts(key);
      if (width === 'base' && !state)
        add(id, { of: 'declaration', key }, property.replaceAll('-', ' '), id);
    }
  };
  const visit = (id: NodeId) => {
    const node = tree[id]!;
    // The look of the whole first: its theme, its style (common practice, no published source).
    if (id === root && (node.kind === 'element' || node.kind === 'instance')) addLook(id, node);
    if (node.kind === 'element') {
      if (id !== root) add(id, { of: 'shown' }, 'shown', id);
      const texts = children.of(id).filter((child) => tree[child]!.kind === 'text');
      for (const child of texts) {
        const text = tree[child]!;
        const isIcon = text.kind === 'text' && text.rich === 'icon';
        add(child, { of: 'text' }, isIcon ? 'icon' : 'text', id);
      }
      // Those people set all the time, then what else was given to it.
      const usual = usualAttributesOf(node.tag);
      const others = Object.keys(node.attributes).filter((name) => !usual.includes(name));
      for (const name of [...usual, ...others.sort()])
        add(id, { of: 'attribute', name }, attributeWord(name, node.tag), id);
    }
    if (node.kind === 'instance') {
      if (id !== root) add(id, { of: 'shown' }, 'shown', id);
      const component = docOf(documents, 'component', node.component);
      if (component)
        for (const [property, { label }] of inOrder(component.properties))
          add(id, { of: 'value', property }, label.toLowerCase(), id);
    }
    if (node.kind === 'slot') add(id, { of: 'shown' }, 'shown', id);
    if (id !== root && (node.kind === 'element' || node.kind === 'instance')) addLook(id, node);
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
    return literal;
  }
  // An attribute that is yes or no is not there where nobody says that it is.
  return control.of === 'attribute' && type.kind === 'boolean' ? yesNo(false) : emptyLiteral(type);
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
