import { Type, type Static } from '@sinclair/typebox';
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

type Options = Readonly<Record<string, Static<typeof Option>>>;

const wordOf = ({ label }: { readonly label: string }): string => label.trim().toLowerCase();

/** The option that is called by words, among those that are offered; `null` where none is. */
function optionCalled(words: string, options: Options): string | null {
  const wanted = wordOf({ label: words });
  const found = Object.keys(options).find(
    (id) => options[id]!.gone === undefined && wordOf(options[id]!) === wanted,
  );
  return found ?? null;
}

/**
 * The option of a choice that is called as one of another choice is, where that has none under the same id; `null` where
 * there is none.
 */
export function sameOption(
  value: string | null,
  from: { readonly options: Options },
  to: { readonly options: Options },
): string | null {
  if (value === null || own(to.options, value)) return null;
  const held = own(from.options, value);
  return held ? optionCalled(held.label, to.options) : null;
}

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
  parse: (words, { options }) => optionCalled(words, options),
  asksSite: false,
});
