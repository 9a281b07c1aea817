import { Type, type Static } from '@sinclair/typebox';
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

/** A declaration's value as written in CSS. Tokens and sources will stand beside it. */
export const Declared = Type.Object(
  { css: Type.String({ minLength: 1, maxLength: 500 }) },
  { additionalProperties: false },
);
export type Declared = Static<typeof Declared>;

/**
 * A block of declarations, flat so that two first declarations at one width never meet in one container.
 * A key is a CSS longhand, at the base alone, at a narrower width followed by `@` and the width's id.
 */
export const Block = Type.Record(
  Type.String({ pattern: '^-?[a-z][a-z-]*(@[a-z][a-z0-9-]{0,39})?$' }),
  Declared,
  { additionalProperties: false },
);
export type Block = Static<typeof Block>;

const shown = Type.Optional(Source);

export const ElementNode = Type.Object(
  {
    kind: Type.Literal('element'),
    place: Place,
    name: Name,
    tag: Type.String({ pattern: '^[a-z][a-z0-9]*$' }),
    attributes: Type.Record(Type.String({ pattern: '^[a-z][a-z-]*$' }), Source, {
      additionalProperties: false,
    }),
    style: Block,
    shown,
  },
  { additionalProperties: false },
);
export type ElementNode = Static<typeof ElementNode>;

export const TextNode = Type.Object(
  { kind: Type.Literal('text'), place: Place, name: Name, text: Source, shown },
  { additionalProperties: false },
);
export type TextNode = Static<typeof TextNode>;

export const InstanceNode = Type.Object(
  {
    kind: Type.Literal('instance'),
    place: Place,
    name: Name,
    component: Id,
    values: Type.Record(Id, Source, { additionalProperties: false }),
    style: Block,
    shown,
  },
  { additionalProperties: false },
);
export type InstanceNode = Static<typeof InstanceNode>;

export const SlotNode = Type.Object(
  { kind: Type.Literal('slot'), place: Place, name: Name, slot: Id },
  { additionalProperties: false },
);
export type SlotNode = Static<typeof SlotNode>;

/** A closed query over entries. Ties in the order are broken by id. */
export const Query = Type.Object(
  {
    type: Id,
    where: Type.Array(Type.Object({ field: Id, equals: Source }, { additionalProperties: false }), {
      maxItems: 8,
    }),
    order: Type.Array(
      Type.Object({ field: Id, descending: Type.Boolean() }, { additionalProperties: false }),
      { maxItems: 4 },
    ),
    limit: Type.Optional(Type.Integer({ minimum: 1, maximum: 10000 })),
  },
  { additionalProperties: false },
);
export type Query = Static<typeof Query>;

/** The name of the place, among a repeat's children, of what stands there when there are no entries. */
export const NONE = 'none';

export const RepeatNode = Type.Object(
  { kind: Type.Literal('repeat'), place: Place, name: Name, query: Query },
  { additionalProperties: false },
);
export type RepeatNode = Static<typeof RepeatNode>;

export const TreeNode = Type.Union([ElementNode, TextNode, InstanceNode, SlotNode, RepeatNode]);
export type TreeNode = Static<typeof TreeNode>;

/** A page's body or a component's definition: nodes by id, with one root. */
export const Tree = Type.Record(Id, TreeNode, { additionalProperties: false });
export type Tree = Static<typeof Tree>;
