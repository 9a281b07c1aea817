import {
  literal,
  text,
  type Acts,
  type ComponentDoc,
  type Literal,
  type Property,
  type Source,
  type SetAct,
} from '../model';
import { NOW } from './folding';
import { component } from './small-site';

const property = (id: string): Source => ({ is: 'property', property: id });
const now = (id: string): Literal => literal({ type: 'choice', value: id });
const set = (order: string, state: string, to: SetAct['to']): SetAct => ({
  order,
  do: 'set',
  state: property(state),
  to,
});
const whenNow = (id: string): Source => ({
  is: 'expression',
  cel: 'n0 == n1',
  names: { n0: property('loading-now'), n1: now(id) },
});

/** What is done when it is pressed: it waits, does what it was given, and says what was answered where that failed. */
const PRESSED: Acts = {
  waits: set('a0', 'loading-now', { value: now('busy') }),
  does: {
    order: 'a1',
    do: 'action',
    action: property('loading-does'),
    failing: {
      failed: set('a0', 'loading-now', { value: now('failed') }),
      said: set('a1', 'loading-said', { answer: 'said' }),
    },
  },
  done: set('a2', 'loading-now', { value: now('idle') }),
};

/** A button that waits while it does what it was given, and says why that failed. */
export const loading: ComponentDoc = (() => {
  const doc = component(
    'loading',
    {
      id: 'loading-root',
      tag: 'div',
      children: [
        {
          id: 'loading-press',
          tag: 'button',
          whens: { press: { order: 'a0', on: 'press', acts: PRESSED } },
          children: [
            { tag: 'span', text: '…', shown: whenNow('busy') },
            { text: property('loading-words') },
          ],
        },
        {
          id: 'loading-trouble',
          tag: 'p',
          attributes: { title: property('loading-said') },
          shown: whenNow('failed'),
          text: {
            is: 'words',
            of: 'text',
            pieces: ['It said: ', { place: 'n0' }],
            names: { n0: { ...property('loading-said'), whenEmpty: { use: text('nothing') } } },
          },
        },
      ],
    },
    {
      'loading-words': text('Book'),
      'loading-now': now('idle'),
      'loading-said': text(''),
      'loading-does': literal({ type: 'action', value: null }),
    },
  );
  const properties: Record<string, Property> = {};
  for (const [id, each] of Object.entries(doc.properties))
    properties[id] = { ...each, key: id.replace('loading-', '') };
  properties['loading-now'] = { ...properties['loading-now']!, type: NOW, state: {} };
  properties['loading-said'] = { ...properties['loading-said']!, state: {} };
  return { ...doc, properties };
})();
