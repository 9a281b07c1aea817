import {
  inOrder,
  own,
  sameJson,
  type ComponentDoc,
  type Documents,
  type Property,
  type Typed,
} from '@sormet/core/model';
import { valuesOfState } from '@sormet/core/value';
import { valueWords } from '../../words';

/** A value that a state can be held at: how it is chosen. */
export interface HeldChoice {
  readonly value: string;
  readonly label: string;
  readonly typed: Typed;
}

/** What stands for words that nobody knows before a visitor acts. */
const SOME_WORDS: Typed = { type: 'text', value: 'Words that come while it is used' };

/** The values that a state can be held at; of words, that there are some. */
export function heldChoices(documents: Documents, { type, state }: Property): HeldChoice[] {
  if (!state) return [];
  if (type.kind === 'text') return [{ value: 'words', label: 'some words', typed: SOME_WORDS }];
  return (valuesOfState(type, state) ?? []).map((typed) => ({
    value: JSON.stringify(typed.value),
    label:
      type.kind === 'choice'
        ? (own(type.options, typed.value as string)?.label ?? '')
        : valueWords(documents, typed),
    typed,
  }));
}

/** How a state that is held is said: `Now: waiting`. */
export function heldWords(documents: Documents, property: Property, value: Typed): string {
  const choice = heldChoices(documents, property).find(({ typed }) => sameJson(typed, value));
  return `${property.label}: ${choice?.label ?? valueWords(documents, value)}`;
}

/** The states of a definition that are no axes: those are lit among its variants. */
export function statesBeside({ properties }: ComponentDoc): [string, Property][] {
  return inOrder(properties).filter(([, { state, axis }]) => state !== undefined && !axis);
}
