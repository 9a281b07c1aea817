import {
  literal,
  ordersFor,
  text,
  type Acts,
  type ComponentDoc,
  type Literal,
  type SetAct,
  type Source,
  type TypeSpec,
} from '@sormet/core/model';
import { property } from './sources';
import { styled } from './styled';
import { component, on } from './written-component';

const WORDS = ['idle', 'waiting', 'booked', 'failed'] as const;
type Now = (typeof WORDS)[number];
const orders = ordersFor(WORDS.length);

/** How it is with a booking. */
const NOW: TypeSpec = {
  kind: 'choice',
  options: Object.fromEntries(
    WORDS.map((label, i) => [`booking-${label}`, { label, order: orders[i]! }]),
  ),
};

const now = (is: Now): Literal => literal({ type: 'choice', value: `booking-${is}` });
const isNow = (is: Now, not = false): Source => ({
  is: 'expression',
  cel: not ? 'n0 != n1' : 'n0 == n1',
  names: { n0: property('booking-now'), n1: now(is) },
});
const set = (order: string, state: string, to: SetAct['to']): SetAct => ({
  order,
  do: 'set',
  state: property(state),
  to,
});

/** What a press does: it waits, does what it was given, and says what was answered, also where that was no. */
const PRESSED: Acts = {
  waits: { ...set('a0', 'booking-now', { value: now('waiting') }), if: isNow('waiting', true) },
  does: {
    order: 'a1',
    do: 'action',
    action: property('booking-does'),
    failing: {
      failed: set('a0', 'booking-now', { value: now('failed') }),
      said: set('a1', 'booking-said', { answer: 'said' }),
    },
  },
  booked: set('a2', 'booking-now', { value: now('booked') }),
  said: set('a3', 'booking-said', { answer: 'said' }),
};

/** A button that does something which takes a while, and may fail. */
const drawn = component(
  'booking',
  'Fittings/Booking button',
  {
    tag: 'div',
    name: 'Booking',
    style: styled({
      display: 'flex',
      'flex-wrap': 'wrap',
      'align-items': 'center',
      gap: '{space 3} {space 5}',
    }),
    children: [
      {
        id: 'booking-button',
        tag: 'button',
        name: 'Button',
        attributes: { type: text('button') },
        shared: on('button', 'button-main', 'button-usual'),
        whens: { press: { order: 'a0', on: 'press', acts: PRESSED } },
        children: [
          {
            tag: 'progress',
            name: 'Spinner',
            attributes: { 'aria-label': property('booking-wait') },
            style: styled({ width: '3rem', 'margin-right': '{space 3}' }),
            shown: isNow('waiting'),
          },
          {
            name: 'Words',
            text: {
              is: 'expression',
              cel: 'n0 == n1 ? n3 : n0 == n2 ? n4 : n5',
              names: {
                n0: property('booking-now'),
                n1: now('waiting'),
                n2: now('failed'),
                n3: property('booking-wait'),
                n4: property('booking-again'),
                n5: property('booking-words'),
              },
            },
          },
        ],
      },
      {
        tag: 'p',
        name: 'Answer',
        style: styled({ 'margin-top': '0' }),
        shown: {
          is: 'expression',
          cel: 'n0 == n1 || n0 == n2',
          names: { n0: property('booking-now'), n1: now('booked'), n2: now('failed') },
        },
        text: property('booking-said'),
      },
    ],
  },
  {
    'booking-words': { label: 'Text', byDefault: text('Book a bench') },
    'booking-wait': { label: 'While it waits', byDefault: text('Booking …') },
    'booking-again': { label: 'When it failed', byDefault: text('Try again') },
    'booking-does': {
      label: 'What it does',
      byDefault: literal({ type: 'action', value: null }),
    },
    'booking-now': { label: 'Now', byDefault: now('idle'), type: NOW, state: {} },
    'booking-said': { label: 'Answer', byDefault: text(''), state: {} },
  },
);

/** While it waits its button is paler; its states stand beside each other as its variants. */
export const booking: ComponentDoc = {
  ...drawn,
  properties: {
    ...drawn.properties,
    'booking-now': { ...drawn.properties['booking-now']!, axis: true },
  },
  rules: {
    'booking-pale': {
      order: 'a0',
      when: { axes: { 'booking-now': 'booking-waiting' } },
      patch: { 'booking-button': { style: styled({ opacity: '0.75' }) } },
    },
  },
};

/** A section that books a bench: what the button inside does is its own to give. */
export const keepBench = component(
  'keep-bench',
  'Sections/Keep a bench',
  {
    tag: 'section',
    name: 'Keep a bench',
    shared: on('wide', 'room', 'room-less'),
    children: [
      { tag: 'h2', name: 'Heading', text: property('keep-heading') },
      { tag: 'p', name: 'Text', text: property('keep-text') },
      { component: 'booking', values: { 'booking-does': property('keep-does') } },
    ],
  },
  {
    'keep-heading': { label: 'Heading', byDefault: text('A bench for this evening') },
    'keep-text': {
      label: 'Text',
      byDefault: text('Come without booking, or keep a bench free for two hours.'),
    },
    'keep-does': {
      label: 'What the button does',
      byDefault: literal({ type: 'action', value: null }),
    },
  },
);
