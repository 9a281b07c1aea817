import {
  own,
  type Act,
  type Documents,
  type Happening,
  type TreeDoc,
  type ActsWhen,
} from '@sormet/core/model';
import { nodeName, stateOf } from '@sormet/core/edit';
import { sourceWords } from '../../values/source-words';
import { keyOfTo, stateLabel, waysOf } from './state-ways';

/** What happens to an element, as its acts are headed; those without words are of forms, which have acts of their own. */
export const HAPPENING_WORDS: Readonly<Record<Happening, string>> = {
  press: 'pressed',
  change: 'changed',
  submit: 'sent',
  key: 'a key',
  enter: 'pointer over',
  leave: 'pointer away',
  view: 'in view',
  time: 'after a time',
  swipe: 'swiped',
  begin: 'as the page opens',
};

/** What each act does, as it is chosen. */
export const DOES_WORDS: Readonly<Record<Act['do'], string>> = {
  set: 'set a state',
  action: 'do an action',
  ask: 'ask an address',
  wait: 'wait',
  go: 'go to',
  scroll: 'scroll to',
  focus: 'focus',
  open: 'open',
  close: 'close',
  check: 'check the fields of',
  send: 'send',
  copy: 'copy',
};

/** Acts that may fail: what they reach may not be there, or say no. */
export const MAY_FAIL: ReadonlySet<Act['do']> = new Set([
  'action',
  'ask',
  'copy',
  'go',
  'check',
  'send',
]);

/** When acts are done, with what is said of it besides. */
export function whenWords({ on, key, seconds, way }: ActsWhen): string {
  switch (on) {
    case 'key':
      return `key ${key === ' ' ? 'space' : (key ?? '')}`;
    case 'time':
      return `every ${seconds ?? 5} s`;
    case 'swipe':
      return `swiped ${way ?? 'left'}`;
    default:
      return HAPPENING_WORDS[on];
  }
}

/** An act in a few words, as "set now to failed". */
export function actWords(documents: Documents, doc: TreeDoc, act: Act): string {
  switch (act.do) {
    case 'set': {
      const label = stateLabel(documents, doc, act.state) ?? 'a state that is gone';
      return `set ${label} to ${toWords(documents, doc, act)}`;
    }
    case 'action':
      return `do ${sourceWords(documents, doc, act.action)}`;
    case 'go':
      return `go to ${sourceWords(documents, doc, act.to)}`;
    case 'copy':
      return `copy ${sourceWords(documents, doc, act.words)}`;
    case 'ask':
      return `ask ${sourceWords(documents, doc, act.address)}`;
    case 'wait':
      return `wait ${sourceWords(documents, doc, act.seconds)} s`;
    default: {
      const node = own(doc.nodes, act.node);
      return `${DOES_WORDS[act.do]} ${node ? nodeName(documents, node, doc) : 'what is gone'}`;
    }
  }
}

function toWords(documents: Documents, doc: TreeDoc, act: Extract<Act, { do: 'set' }>): string {
  const { to } = act;
  if (typeof to === 'object' && 'answer' in to) return `“${to.answer}” of what was answered`;
  if (typeof to === 'object' && 'field' in to) {
    const field = own(doc.nodes, to.field);
    return field
      ? `what ${nodeName(documents, field, doc)} says`
      : 'what a field said that is gone';
  }
  const property = stateOf(documents, doc.id, act.state);
  const way = property && waysOf(documents, property).find(({ key }) => key === keyOfTo(to));
  if (way) return way.words;
  return typeof to === 'object' ? sourceWords(documents, doc, to.value) : to;
}
