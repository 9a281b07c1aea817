import { Type, type Static } from '@sinclair/typebox';
import { Acts } from './acts';
import { ID_PATTERN } from './ids';
import { OrderKey } from './order';

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
    /** Of a number: the repeat of the definition whose items it counts, from 1; there is one value for each. */
    among: Type.Optional(Id),
    /** Whether what stands around its instance, or in its slots, may set it, too. */
    open: Type.Optional(Type.Literal(true)),
  },
  exact,
);
export type StateOf = Static<typeof StateOf>;

/** What an element may answer to. */
export const HAPPENINGS = [
  'press',
  'submit',
  'change',
  'key',
  'enter',
  'leave',
  'view',
  'time',
  'swipe',
  'begin',
] as const;
/** What may happen to an element. */
export type Happening = (typeof HAPPENINGS)[number];

/** To which side somebody swipes. */
export const SWIPES = ['left', 'right', 'up', 'down'] as const;

/** What an element does when something happens to it. */
export const ActsWhen = Type.Object(
  {
    order: OrderKey,
    on: Type.Union(HAPPENINGS.map((each) => Type.Literal(each))),
    /** Which key, as UI Events calls it (`KeyboardEvent.key`). */
    key: Type.Optional(Type.String({ minLength: 1, maxLength: 20 })),
    /** How many seconds after the last time. */
    seconds: Type.Optional(Type.Number({ minimum: 0.1, maximum: 3600 })),
    way: Type.Optional(Type.Union(SWIPES.map((each) => Type.Literal(each)))),
    /** Whether it is begun again while it is still being done. */
    again: Type.Optional(Type.Literal(true)),
    acts: Acts,
  },
  exact,
);
export type ActsWhen = Static<typeof ActsWhen>;

/** All that an element does, by ids. */
export const Whens = Type.Record(Id, ActsWhen, exact);
export type Whens = Static<typeof Whens>;
