import { Type, type Static } from '@sinclair/typebox';
import { ID_PATTERN } from './ids';
import { OrderKey } from './order';
import { Source } from './source';

const exact = { additionalProperties: false } as const;
const Id = Type.String({ pattern: ID_PATTERN });

/**
 * That a visitor changes what a property holds: a state. What it is set to, or its default, is what it holds at first, for
 * each instance by itself (see docs/decisions/states-are-properties.md).
 */
export const StateOf = Type.Object(
  {
    /** Of a number: by how much the next one is more; 1 without. */
    step: Type.Optional(Type.Number({ exclusiveMinimum: 0 })),
    /** Whether behind the last comes the first. */
    round: Type.Optional(Type.Literal(true)),
  },
  exact,
);
export type StateOf = Static<typeof StateOf>;

/** Where a state is set to without a value: the next that it can have, the one before, of two the other. */
export const ACT_WAYS = ['next', 'before', 'other'] as const;
/** One of the ways to set a state without a value. */
export type ActWay = (typeof ACT_WAYS)[number];

/** One act: a state of the definition is set. What is no state (any more) is left alone. */
export const Act = Type.Object(
  {
    order: OrderKey,
    /** The state, as the property that it is. */
    set: Source,
    to: Type.Union([
      Type.Object({ value: Source }, exact),
      ...ACT_WAYS.map((way) => Type.Literal(way)),
    ]),
  },
  exact,
);
export type Act = Static<typeof Act>;

/** What an element does when something happens to it: its acts in their order. */
export const ActsWhen = Type.Object(
  {
    order: OrderKey,
    on: Type.Literal('press'),
    acts: Type.Record(Id, Act, exact),
  },
  exact,
);
export type ActsWhen = Static<typeof ActsWhen>;

/** All that an element does, by ids. */
export const Whens = Type.Record(Id, ActsWhen, exact);
export type Whens = Static<typeof Whens>;
