import { Type } from '@sinclair/typebox';
import { ACT_WAYS, ELEMENT_ACTS, type ActOf, type ElementActOf, type SetActOf } from './act-shapes';
import { ID_PATTERN } from './ids';
import { OrderKey } from './order';
import { Source, type SourceActs } from './source';

const exact = { additionalProperties: false } as const;
const Id = Type.String({ pattern: ID_PATTERN });

const StateRef = Type.Union([Source, Type.Object({ component: Id, property: Id }, exact)]);

/** Where a state is set to: a value, one of the ways, what stood under a name in what was answered last, what a field says. */
const To = Type.Union([
  Type.Object({ value: Source }, exact),
  Type.Object({ answer: Type.String({ minLength: 1, maxLength: 100 }) }, exact),
  Type.Object({ field: Id }, exact),
  ...ACT_WAYS.map((way) => Type.Literal(way)),
]);

/** The members of what each act does. */
const DOES = [
  { do: Type.Literal('set'), state: StateRef, to: To },
  /** An action that was given: its acts, where they were written. */
  { do: Type.Literal('action'), action: Source },
  { do: Type.Literal('go'), to: Source },
  ...ELEMENT_ACTS.map((act) => ({ do: Type.Literal(act), node: Id })),
  { do: Type.Literal('copy'), words: Source },
  /** Asks an address for JSON; sending it something where it may change what is there. */
  { do: Type.Literal('ask'), address: Source, post: Type.Optional(Type.Literal(true)) },
  { do: Type.Literal('wait'), seconds: Source },
] as const;

/** Acts by ids, each with what is done when it fails; then those behind it are not done. */
export const ACTS_SCHEMA = Type.Recursive(
  (Self) =>
    Type.Record(
      Id,
      Type.Union(
        DOES.map((does) =>
          Type.Object(
            { order: OrderKey, if: Type.Optional(Source), failing: Type.Optional(Self), ...does },
            exact,
          ),
        ),
      ),
      { additionalProperties: false, maxProperties: 40 },
    ),
  { $id: 'Acts' },
);

/** The schema of acts by reference, as other schemas hold it: they stand in sources, and sources in them. */
export const Acts = Type.Unsafe<SourceActs>(Type.Ref('Acts'));
/** Acts by ids; done in their order. */
export type Acts = SourceActs;
/** One thing that is done. */
export type Act = ActOf<Source>;
/** A state is set. */
export type SetAct = SetActOf<Source>;
/** Something is done to an element of the same document. */
export type ElementAct = ElementActOf<Source>;
/** The state that an act sets. */
export type StateRef = SetAct['state'];

export { ACT_WAYS, ELEMENT_ACTS, type ActWay } from './act-shapes';
