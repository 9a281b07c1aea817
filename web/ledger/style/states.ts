import type { State } from '@sormet/core/model';

/** The words for the states of an element and for the parts of it that have a look of their own. */
const WORDS: Readonly<Record<State, string>> = {
  ':hover': 'hover',
  ':focus-visible': 'focus',
  ':active': 'pressed',
  ':checked': 'checked',
  ':disabled': 'disabled',
  '::placeholder': 'placeholder',
  '::marker': 'marker',
};

const FIELDS = new Set(['input', 'textarea', 'select', 'button']);

/** What a state is called; rest without one. */
export function stateWord(state: State | null | undefined): string {
  return state ? WORDS[state] : 'rest';
}

/** The states in which an element of a tag can be, rest first. */
export function statesOf(tag: string): readonly (State | null)[] {
  const states: (State | null)[] = [null, ':hover', ':focus-visible', ':active'];
  if (tag === 'input') states.push(':checked');
  if (FIELDS.has(tag)) states.push(':disabled');
  if (tag === 'input' || tag === 'textarea') states.push('::placeholder');
  if (tag === 'li' || tag === 'summary') states.push('::marker');
  return states;
}
