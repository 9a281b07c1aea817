import {
  literal,
  ordersFor,
  referring,
  text,
  type Literal,
  type TypeSpec,
} from '@sormet/core/model';
import { ofItem, property, sortedBy } from './sources';
import { styled } from './styled';
import { component, on } from './written-component';

const EACH = 'finder-each';
const SIZES = ['Every shed', 'Up to four benches', 'Five benches and more'] as const;
const orders = ordersFor(SIZES.length);
const SIZE: TypeSpec = {
  kind: 'choice',
  options: Object.fromEntries(
    SIZES.map((label, i) => [`finder-${i}`, { label, order: orders[i]! }]),
  ),
};
const size = (i: number): Literal => literal({ type: 'choice', value: `finder-${i}` });

/** The sheds of a size that is chosen; without a script all of them. */
export const shedFinder = component(
  'finder',
  'Sections/Find a shed',
  {
    tag: 'section',
    name: 'Find a shed',
    shared: on('wide', 'room', 'room-less'),
    children: [
      { tag: 'h2', name: 'Heading', text: property('finder-heading') },
      {
        tag: 'label',
        name: 'Filter',
        style: styled({
          display: 'flex',
          gap: '{space 3}',
          'align-items': 'center',
          'margin-top': '{space 3}',
        }),
        children: [
          { tag: 'span', text: property('finder-label') },
          {
            id: 'finder-size-field',
            tag: 'select',
            name: 'Size',
            attributes: { 'aria-controls': text(referring('finder-list')) },
            whens: {
              changes: {
                order: 'a0',
                on: 'change',
                acts: {
                  sets: {
                    order: 'a0',
                    do: 'set',
                    state: property('finder-size'),
                    to: { field: 'finder-size-field' },
                  },
                },
              },
            },
            children: SIZES.map((label) => ({ tag: 'option', text: label })),
          },
        ],
      },
      {
        id: 'finder-list',
        tag: 'ul',
        name: 'Sheds',
        attributes: { id: text(referring('finder-list')), 'aria-live': text('polite') },
        shared: on('plain-list'),
        style: styled({
          display: 'flex',
          'flex-wrap': 'wrap',
          gap: '{space 2} {space 5}',
          'margin-top': '{space 3}',
        }),
        children: [
          {
            id: EACH,
            repeat: { from: { type: 'shed' }, where: {}, order: sortedBy('shed-number') },
            children: [
              {
                tag: 'li',
                name: 'Shed',
                shown: {
                  is: 'expression',
                  cel: 'n0 == n1 || (n0 == n2 ? n4 <= 4 : n0 == n3 && n4 > 4)',
                  names: {
                    n0: property('finder-size'),
                    n1: size(0),
                    n2: size(1),
                    n3: size(2),
                    n4: ofItem(EACH, 'shed-benches'),
                  },
                },
                children: [
                  {
                    tag: 'a',
                    attributes: { href: ofItem(EACH, '') },
                    text: ofItem(EACH, 'shed-name'),
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
    'finder-heading': { label: 'Heading', byDefault: text('Find a shed that fits') },
    'finder-label': { label: 'Label', byDefault: text('Show') },
    'finder-size': { label: 'Size', byDefault: size(0), type: SIZE, state: {} },
  },
);
