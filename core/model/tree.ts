import { Type, type Static } from '@sinclair/typebox';
import { Whens } from './behaviour';
import { ID_PATTERN } from './ids';
import { OrderKey } from './order';
import { Source } from './source';

const Id = Type.String({ pattern: ID_PATTERN });
const Name = Type.Optional(Type.String({ minLength: 1, maxLength: 120 }));

/**
 * Where a node stands. Children are derived from it, so that moving, adding and removing touch one record.
 * `order` is a fractional index; ties are broken by id. The root of a tree has no parent.
 */
export const Place = Type.Object(
  {
    parent: Type.Union([Id, Type.Null()]),
    slot: Type.Optional(Id),
    order: OrderKey,
  },
  { additionalProperties: false },
);
export type Place = Static<typeof Place>;

/** What a placeholder in a declaration stands for, as CSS types it. */
export const PlaceholderType = Type.Union(
  (
    [
      'colour',
      'length',
      'number',
      'font',
      'duration',
      'easing',
      'shadow',
      'border',
      'line',
      'gradient',
    ] as const
  ).map((type) => Type.Literal(type)),
);
export type PlaceholderType = Static<typeof PlaceholderType>;

/** What a border is made of: what one stands for is said part by part. */
export const BORDER_PARTS = ['width', 'style', 'color'] as const;
/** A part of a border. */
export type BorderPart = (typeof BORDER_PARTS)[number];

/** What stands in a placeholder's place: a token (of a border, one part of it) of the site, or what a source gives where the declaration stands. */
export const Ref = Type.Union([
  Type.Object(
    {
      token: Id,
      type: PlaceholderType,
      part: Type.Optional(Type.Union(BORDER_PARTS.map((part) => Type.Literal(part)))),
    },
    { additionalProperties: false },
  ),
  Type.Object(
    {
      source: Source,
      type: Type.Union(
        (['colour', 'length', 'number', 'image'] as const).map((type) => Type.Literal(type)),
      ),
    },
    { additionalProperties: false },
  ),
]);
export type Ref = Static<typeof Ref>;

/**
 * A declaration's value: CSS as the parser writes it. Where something else stands in, it holds `var(--NAME)`, and
 * `refs` says under NAME what that is.
 */
export const Declared = Type.Object(
  {
    css: Type.String({ minLength: 1, maxLength: 500 }),
    refs: Type.Optional(Type.Record(Id, Ref, { additionalProperties: false, maxProperties: 20 })),
  },
  { additionalProperties: false },
);
export type Declared = Static<typeof Declared>;

/**
 * In which state of an element, or in which part of it, a declaration holds (Selectors Level 4, 9, 11 and 12; CSS
 * Pseudo-Elements Level 4, 4). Weakest first: of those that hold at once the later wins.
 */
export const STATES = [
  ':checked',
  ':hover',
  ':focus-visible',
  ':active',
  ':disabled',
  '::placeholder',
  '::marker',
] as const;
/** A state of an element, or a part of it that CSS can style. */
export type State = (typeof STATES)[number];

/** The keys of a block, as a pattern: a longhand, `@` and a width, a state. */
export const BLOCK_KEY = `^-?[a-z][a-z-]*(@[a-z][a-z0-9-]{0,39})?(${STATES.join('|')})?$`;

/**
 * A block of declarations, flat so that two first declarations at one width never meet in one container.
 * A key is a CSS longhand, at the base alone, at a narrower width followed by `@` and the width's id; where it holds in
 * a state only, that follows.
 */
export const Block = Type.Record(Type.String({ pattern: BLOCK_KEY }), Declared, {
  additionalProperties: false,
});
export type Block = Static<typeof Block>;

const shown = Type.Optional(Source);
/** The attributes of an element, by name. */
export const Attributes = Type.Record(Type.String({ pattern: '^[a-z][a-z-]*$' }), Source, {
  additionalProperties: false,
});
/** What an instance sets, by property. */
export const Values = Type.Record(Id, Source, { additionalProperties: false });
/** The shared styles put on it; which of them wins is said once, by their order on the site. */
const shared = Type.Optional(Type.Record(Id, Type.Literal(true), { additionalProperties: false }));
/** The theme that begins with it: other values for tokens in all that stands in it. */
const theme = Type.Optional(Id);

/** What properties of its definition choose for it, out of what those allow: its tag, the theme that begins with it, one shared style. */
const chosen = Type.Optional(
  Type.Object(
    {
      tag: Type.Optional(Source),
      theme: Type.Optional(Source),
      style: Type.Optional(Source),
    },
    { additionalProperties: false },
  ),
);
/** What an element or instance may have chosen for it. */
export const CHOSEN = ['tag', 'theme', 'style'] as const;
/** What properties may choose for a node. */
export type ChosenKind = (typeof CHOSEN)[number];

/** Under which name whoever places the definition may style it; its root is styled by them anyway. */
const part = Type.Optional(Type.String({ minLength: 1, maxLength: 120 }));
/** What an instance says of parts of its component, by their nodes; what is no part there (any more) says nothing. */
const parts = Type.Optional(Type.Record(Id, Block, { additionalProperties: false }));

/** An HTML element. Its words are text nodes in it. */
export const ElementNode = Type.Object(
  {
    kind: Type.Literal('element'),
    place: Place,
    name: Name,
    tag: Type.String({ pattern: '^[a-z][a-z0-9]*$' }),
    attributes: Attributes,
    style: Block,
    shared,
    theme,
    chosen,
    part,
    shown,
    whens: Type.Optional(Whens),
  },
  { additionalProperties: false },
);
export type ElementNode = Static<typeof ElementNode>;

/** Words, as one value: plain, rich, or an icon. It has no look of its own; that is its element's. */
export const TextNode = Type.Object(
  {
    kind: Type.Literal('text'),
    place: Place,
    name: Name,
    text: Source,
    /** Rich text: in a line of words, or with blocks of its own; or an icon; left out for plain text. */
    rich: Type.Optional(
      Type.Union([Type.Literal('line'), Type.Literal('blocks'), Type.Literal('icon')]),
    ),
    shown,
  },
  { additionalProperties: false },
);
export type TextNode = Static<typeof TextNode>;

/** A component placed somewhere, with what this instance sets and says of its look. */
export const InstanceNode = Type.Object(
  {
    kind: Type.Literal('instance'),
    place: Place,
    name: Name,
    component: Id,
    values: Values,
    style: Block,
    parts,
    shared,
    theme,
    chosen,
    part,
    shown,
  },
  { additionalProperties: false },
);
export type InstanceNode = Static<typeof InstanceNode>;

/**
 * Where a slot of the definition is. What stands in it shows where an instance fills it with nothing. Where it is not shown,
 * what fills it stays stored.
 */
export const SlotNode = Type.Object(
  { kind: Type.Literal('slot'), place: Place, name: Name, slot: Id, shown },
  { additionalProperties: false },
);
export type SlotNode = Static<typeof SlotNode>;

const FieldPath = Type.Array(Id, { minItems: 1, maxItems: 8 });

/**
 * How a condition compares what an item holds with what its source gives, both as the declared type of the field. What is
 * `empty` or `filled` is compared with nothing.
 */
export const Operator = Type.Union(
  (
    [
      'equals',
      'differs',
      'atLeast',
      'atMost',
      'above',
      'below',
      'contains',
      'empty',
      'filled',
    ] as const
  ).map((is) => Type.Literal(is)),
);
export type Operator = Static<typeof Operator>;

/** What an item must meet to be shown. */
export const Condition = Type.Object(
  {
    path: FieldPath,
    is: Operator,
    source: Source,
    /** Further values, of which any will do as well. */
    or: Type.Optional(Type.Record(Id, Source, { additionalProperties: false, maxProperties: 20 })),
    /** The group it stands in; without one, it stands at the top. */
    group: Type.Optional(Id),
  },
  { additionalProperties: false },
);
export type Condition = Static<typeof Condition>;

/** Conditions that belong together: all of them must hold, or any. */
export const ConditionGroup = Type.Object(
  {
    of: Type.Union([Type.Literal('all'), Type.Literal('any')]),
    /** The group it stands in itself. */
    group: Type.Optional(Id),
  },
  { additionalProperties: false },
);
export type ConditionGroup = Static<typeof ConditionGroup>;

/** One key to sort by; which of several counts first is their own order. */
export const SortKey = Type.Object(
  { path: FieldPath, descending: Type.Boolean(), order: OrderKey },
  { additionalProperties: false },
);
export type SortKey = Static<typeof SortKey>;

/** How many of a list stand on one page. */
export const PerPage = Type.Integer({ minimum: 1, maximum: 1000 });

/**
 * A closed query: the entries of a content type or the records of a list, those that meet its conditions, sorted
 * (ties by id; records that nothing sorts stay in the order of their list), from an offset on, at most so many.
 */
export const Query = Type.Object(
  {
    from: Type.Union([
      Type.Object({ type: Id }, { additionalProperties: false }),
      Type.Object({ list: Source }, { additionalProperties: false }),
    ]),
    where: Type.Record(Id, Condition, { additionalProperties: false, maxProperties: 20 }),
    groups: Type.Optional(
      Type.Record(Id, ConditionGroup, { additionalProperties: false, maxProperties: 10 }),
    ),
    /** Whether any of what stands at the top will do; all of it must hold otherwise. */
    any: Type.Optional(Type.Literal(true)),
    order: Type.Record(Id, SortKey, { additionalProperties: false, maxProperties: 4 }),
    limit: Type.Optional(Source),
    offset: Type.Optional(Source),
    /**
     * How many stand on one page, where a long list is divided over several (`/sheds`, `/sheds/page/2` …); nothing where all
     * stand on one. A list that stands in another is not divided.
     */
    perPage: Type.Optional(PerPage),
    /** Only others that hold the same as this entry does. */
    related: Type.Optional(
      Type.Object({ to: Source, path: FieldPath }, { additionalProperties: false }),
    ),
  },
  { additionalProperties: false },
);
export type Query = Static<typeof Query>;

/** The content type a query asks for; nothing for a query of a list. */
export function queriedType(query: Query): string | undefined {
  return 'type' in query.from ? query.from.type : undefined;
}

/** The name of the place, among a repeat's children, of what stands there when there are no entries. */
export const NONE = 'none';

/** Shows what stands in it once for each item of a query; what stands in `none`, where there are none. */
export const RepeatNode = Type.Object(
  { kind: Type.Literal('repeat'), place: Place, name: Name, query: Query },
  { additionalProperties: false },
);
export type RepeatNode = Static<typeof RepeatNode>;

/** A node of a tree. */
export const TreeNode = Type.Union([ElementNode, TextNode, InstanceNode, SlotNode, RepeatNode]);
export type TreeNode = Static<typeof TreeNode>;

/** The name under which whoever places a definition may style a node of it; nothing for one that is no part. */
export function partNameOf(node: TreeNode | undefined): string | undefined {
  if (node?.kind !== 'element' && node?.kind !== 'instance') return undefined;
  return node.place.parent === null ? undefined : node.part;
}

/** The parts of a tree, by node, in an order that storing does not change. */
export function partsIn(nodes: Readonly<Record<string, TreeNode>>): [string, string][] {
  return Object.keys(nodes)
    .sort()
    .flatMap((id): [string, string][] => {
      const name = partNameOf(nodes[id]);
      return name === undefined ? [] : [[id, name]];
    });
}

/** The blocks of declarations that a node holds, each with the members that lead to it: its own, and what an instance says of parts. */
export function blocksOfNode(node: TreeNode): [string[], Block][] {
  if (node.kind !== 'element' && node.kind !== 'instance') return [];
  const parts = node.kind === 'instance' ? (node.parts ?? {}) : {};
  return [
    [['style'], node.style],
    ...Object.keys(parts)
      .sort()
      .map((part): [string[], Block] => [['parts', part], parts[part]!]),
  ];
}

/** A page's body or a component's definition: nodes by id, with one root. */
export const Tree = Type.Record(Id, TreeNode, { additionalProperties: false });
export type Tree = Static<typeof Tree>;
