import { Type, type Static } from '@sinclair/typebox';
import { ID_PATTERN } from './ids';
import { OrderKey } from './order';
import { Source } from './source';

const exact = { additionalProperties: false } as const;
const Id = Type.String({ pattern: ID_PATTERN });

/** Where a state is set to without a value: the next that it can have, the one before, of two the other. */
export const ACT_WAYS = ['next', 'before', 'other'] as const;
/** One of the ways to set a state without a value. */
export type ActWay = (typeof ACT_WAYS)[number];

/** A state of the definition around, as the property that it is; or one of the nearest instance of a component around the place. */
export const StateRef = Type.Union([Source, Type.Object({ component: Id, property: Id }, exact)]);
export type StateRef = Static<typeof StateRef>;

/** Where a state is set to: a value, one of the ways, or what stood under a name in what was answered last. */
const To = Type.Union([
  Type.Object({ value: Source }, exact),
  Type.Object({ answer: Type.String({ minLength: 1, maxLength: 100 }) }, exact),
  ...ACT_WAYS.map((way) => Type.Literal(way)),
]);

/** What is done to an element of the document in which the act stands. */
export const ELEMENT_ACTS = ['scroll', 'focus', 'open', 'close'] as const;

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

interface ActBase {
  order: string;
  /** Only when this is yes, as it is when its turn comes. */
  if?: Source;
  /** What is done when it fails, and then nothing more; without, the whole fails. */
  failing?: Acts;
}

/** A state is set. */
export interface SetAct extends ActBase {
  do: 'set';
  state: StateRef;
  to: Static<typeof To>;
}

/** Something is done to an element of the same document. */
export interface ElementAct extends ActBase {
  do: (typeof ELEMENT_ACTS)[number];
  node: string;
}

/** One thing that is done. */
export type Act =
  | SetAct
  | ElementAct
  | (ActBase & { do: 'action'; action: Source })
  | (ActBase & { do: 'go'; to: Source })
  | (ActBase & { do: 'copy'; words: Source })
  | (ActBase & { do: 'ask'; address: Source; post?: true })
  | (ActBase & { do: 'wait'; seconds: Source });

/** Acts by ids; done in their order. */
export interface Acts {
  [id: string]: Act;
}

/** The schema of acts by reference, as other schemas hold it: they stand in sources, and sources in them. */
export const Acts = Type.Unsafe<Acts>(Type.Ref('Acts'));
