import { docOf, inOrder, own, type Documents, type Property } from '@sormet/core/model';
import { valuesOfState } from '@sormet/core/value';
import type { Told } from '../../frame/told';
import { HAPPENING_WORDS } from '../../ledger/acts/act-words';
import { valueWords } from '../../words';

/** What happened, in words: what stands out among them apart. */
export interface ToldWords {
  readonly before: string;
  readonly name?: string;
  readonly after?: string;
}

/** What a page told, in words. */
export function toldWordsOf(documents: Documents, told: Told): ToldWords {
  switch (told.is) {
    case 'begun': {
      const on = own(HAPPENING_WORDS, told.on) ?? told.on;
      // What is done as the page opens is done by nothing that somebody pressed.
      return told.words === '' || told.on === 'begin'
        ? { before: on }
        : { before: on, name: told.words };
    }
    case 'set': {
      const property = stateIn(documents, told.name);
      const { label = told.name } = property ?? {};
      const [from, to] = [told.from, told.to].map((at) => stateWords(documents, property, at));
      return { before: `${label}: ${from} →`, name: to! };
    }
    case 'said': {
      const label = stateIn(documents, told.name)?.label ?? told.name;
      return told.words === ''
        ? { before: `${label}: nothing` }
        : { before: `${label}:`, name: `“${told.words}”` };
    }
    case 'action':
      return { before: 'does the action it was given' };
    case 'open':
      return { before: 'opens something' };
    case 'close':
      return { before: 'closes something' };
    case 'go':
      return { before: 'goes to', name: told.to };
    case 'ask': {
      // A form goes to its own page; where in it it stands is for the server.
      const [page, form] = told.to.split('?send=');
      if (told.post && form !== undefined) return { before: 'sends a form of', name: page! };
      return { before: told.post ? 'asks to change something:' : 'asks', name: told.to };
    }
    case 'answered':
      return { before: 'answered', name: String(told.status) };
    case 'unanswered':
      return { before: 'nothing was answered' };
    case 'wait':
      return { before: `waits ${told.seconds} s` };
    case 'failed':
      return { before: 'it failed: what is done then' };
    case 'ended':
      return { before: 'it failed, and nothing is said to be done then', after: told.why };
  }
}

/** The property behind the name of a state: its definition and its id, with a dot between. */
function stateIn(documents: Documents, name: string): Property | undefined {
  const [component = '', property = ''] = name.split('.');
  return own(docOf(documents, 'component', component)?.properties ?? {}, property);
}

function stateWords(documents: Documents, property: Property | undefined, at: number): string {
  // Of what counts a list there are at least so many.
  const value = property?.state && valuesOfState(property.type, property.state, at + 1)?.[at];
  if (!property || !value) return 'as it began';
  if (property.type.kind === 'choice') {
    const option = inOrder(property.type.options).find(([id]) => id === value.value);
    return option?.[1].label ?? '';
  }
  return valueWords(documents, value);
}
