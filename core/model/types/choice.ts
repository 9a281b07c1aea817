import { Type } from '@sinclair/typebox';
import { ID_PATTERN } from '../ids';
import { OrderKey } from '../order';
import { own } from '../own';
import { defineKind, specSchema } from './kind';

const Id = Type.String({ pattern: ID_PATTERN });

/** One of a choice's options, under an id of its own: labels change, values never do. */
export const Option = Type.Object(
  {
    label: Type.String({ minLength: 1, maxLength: 120 }),
    order: OrderKey,
    /** No longer offered; what holds it is empty, or counts as another option. */
    gone: Type.Optional(Type.Union([Type.Literal(true), Id])),
  },
  { additionalProperties: false },
);

/** One out of a list of options, by the option's id. */
export const choiceKind = defineKind({
  kind: 'choice',
  spec: specSchema('choice', {
    options: Type.Record(Id, Option, { additionalProperties: false }),
  }),
  value: Id,
  empty: null,
  within(value, { options }) {
    const option = own(options, value);
    if (!option || option.gone === true) return null;
    if (option.gone === undefined) return value;
    // One step only: what stands in for an option must be there itself.
    const instead = own(options, option.gone);
    return instead && instead.gone === undefined ? option.gone : null;
  },
  parse(words, { options }) {
    const wanted = words.trim().toLowerCase();
    const found = Object.keys(options).find(
      (id) => options[id]!.label.toLowerCase() === wanted && options[id]!.gone === undefined,
    );
    return found ?? null;
  },
  asksSite: false,
});
