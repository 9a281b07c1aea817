import { referring, text, yesNo, type Acts, type ActWay, type Source } from '@sormet/core/model';
import type { Branch } from '@sormet/core/ready';
import { number, ofItem, property, sortedBy } from './sources';
import { styled } from './styled';
import { component, on } from './written-component';

const EACH = 'slides-each';
const place: Source = { is: 'position', repeat: EACH, as: 'number' };

const goes = (to: ActWay): Acts => ({
  goes: { order: 'a0', do: 'set', state: property('slides-now'), to },
});
const button = styled({
  'min-width': '2.75rem',
  'min-height': '2.75rem',
  'padding-inline': '{space 3}',
  border: '1px solid {ink}',
  'border-radius': '{small round}',
  'background-color': 'transparent',
  color: '{ink}',
  'font-family': 'inherit',
  'font-size': 'inherit',
  cursor: 'pointer',
});
const step = (label: string, sign: string, to: ActWay): Branch => ({
  tag: 'button',
  name: label,
  attributes: {
    type: text('button'),
    'aria-label': text(label),
    'aria-controls': text(referring('slides-all')),
  },
  style: button,
  whens: { presses: { order: 'a0', on: 'press', acts: goes(to) } },
  text: sign,
});

/** The next sessions one by one (Authoring Practices, carousel pattern); they move by themselves where somebody lets them. */
export const sessionSlides = component(
  'slides',
  'Sections/Sessions one by one',
  {
    tag: 'section',
    name: 'Sessions one by one',
    attributes: {
      'aria-roledescription': text('carousel'),
      'aria-labelledby': text(referring('slides-heading-node')),
    },
    shared: on('wide', 'room', 'room-less'),
    whens: {
      'slides-left': { order: 'a0', on: 'swipe', way: 'left', acts: goes('next') },
      'slides-right': { order: 'a1', on: 'swipe', way: 'right', acts: goes('before') },
      'slides-time': {
        order: 'a2',
        on: 'time',
        seconds: 6,
        acts: {
          goes: {
            order: 'a0',
            do: 'set',
            state: property('slides-now'),
            to: 'next',
            if: property('slides-move'),
          },
        },
      },
    },
    children: [
      {
        id: 'slides-heading-node',
        tag: 'h2',
        name: 'Heading',
        attributes: { id: text(referring('slides-heading-node')) },
        text: property('slides-heading'),
      },
      {
        tag: 'div',
        name: 'Buttons',
        style: styled({ display: 'flex', gap: '{space 2}', 'margin-block': '{space 3}' }),
        children: [
          {
            tag: 'button',
            name: 'Pause',
            attributes: { type: text('button') },
            style: button,
            whens: {
              presses: {
                order: 'a0',
                on: 'press',
                acts: {
                  turns: {
                    order: 'a0',
                    do: 'set',
                    state: property('slides-move'),
                    to: {
                      value: {
                        is: 'expression',
                        cel: '!n0',
                        names: { n0: property('slides-move') },
                      },
                    },
                  },
                },
              },
            },
            text: {
              is: 'expression',
              cel: 'n0 ? "Stop" : "Let them move"',
              names: { n0: property('slides-move') },
            },
          },
          step('Session before', '‹', 'before'),
          step('Next session', '›', 'next'),
        ],
      },
      {
        id: 'slides-all',
        tag: 'div',
        name: 'Slides',
        attributes: {
          id: text(referring('slides-all')),
          'aria-live': {
            is: 'expression',
            cel: 'n0 ? "off" : "polite"',
            names: { n0: property('slides-move') },
          },
        },
        children: [
          {
            id: EACH,
            repeat: {
              from: { type: 'session' },
              where: {},
              order: sortedBy('session-date'),
              limit: number(6),
            },
            children: [
              {
                tag: 'div',
                name: 'Slide',
                attributes: {
                  role: text('group'),
                  'aria-roledescription': text('slide'),
                  'aria-label': {
                    is: 'expression',
                    cel: 'string(n0) + ": " + n1',
                    names: { n0: place, n1: ofItem(EACH, 'session-name') },
                  },
                },
                shown: {
                  is: 'expression',
                  cel: 'n0 == n1',
                  names: { n0: property('slides-now'), n1: place },
                },
                style: styled({
                  padding: '{space 5}',
                  'background-color': '{sand}',
                  'border-radius': '{medium round}',
                }),
                children: [
                  { tag: 'h3', name: 'Title', text: ofItem(EACH, 'session-name') },
                  {
                    tag: 'p',
                    name: 'When',
                    children: [
                      {
                        tag: 'time',
                        attributes: { datetime: ofItem(EACH, 'session-date') },
                        text: ofItem(EACH, 'session-date'),
                      },
                      { text: ', ' },
                      { tag: 'span', text: ofItem(EACH, 'session-time') },
                    ],
                  },
                ],
              },
            ],
          },
        ],
      },
    ],
  },
  {
    'slides-heading': { label: 'Heading', byDefault: text('The next evenings') },
    'slides-now': { label: 'Now', byDefault: number(1), state: { among: EACH, round: true } },
    'slides-move': { label: 'Moves by itself', byDefault: yesNo(false), state: {} },
  },
);
