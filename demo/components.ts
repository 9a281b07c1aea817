import {
  FORMAT,
  ordersFor,
  text,
  type ComponentDoc,
  type Literal,
  type Property,
  kindOnly,
} from '@sormet/core/model';
import { keyFor, plant, type Branch } from '@sormet/core/edit';
import { blockOf } from '@sormet/core/style';
import { picture, property, toAddress, toPage } from './sources';

/** A property as it is written here: its label, its default, and the group it stands in. */
type Written = { label: string; byDefault: Literal; group?: string };

function component(
  id: string,
  name: string,
  root: Branch,
  properties: Record<string, Written> = {},
  slots: Record<string, string> = {},
): ComponentDoc {
  let next = 0;
  const orders = ordersFor(Object.keys(properties).length);
  const keys = new Set<string>();
  const groups: ComponentDoc['groups'] = {};
  const made: Record<string, Property> = {};
  Object.entries(properties).forEach(([property, { label, byDefault, group }], i) => {
    const key = keyFor(label, keys);
    keys.add(key);
    const groupId = group ? `${id}-g-${keyFor(group, new Set()).toLowerCase()}` : null;
    if (group && groupId && !groups[groupId])
      groups[groupId] = { label: group, order: ordersFor(Object.keys(groups).length + 1).at(-1)! };
    made[property] = {
      label,
      key,
      type: kindOnly(byDefault.type),
      group: groupId,
      order: orders[i]!,
      default: byDefault,
    };
  });
  const slotOrders = ordersFor(Object.keys(slots).length);
  const { nodes } = plant(root, { parent: null, order: 'a0' }, () => `${id}-n${(next += 1)}`);
  return {
    id,
    kind: 'component',
    format: FORMAT,
    name,
    properties: made,
    groups,
    rules: {},
    slots: Object.fromEntries(
      Object.entries(slots).map(([slot, label], i) => [slot, { label, order: slotOrders[i]! }]),
    ),
    nodes,
  };
}

const WIDE = { 'max-width': '1120px', 'margin-inline': 'auto', width: '100%' };

const surround = component(
  'surround',
  'Site surround',
  {
    tag: 'div',
    name: 'Page',
    children: [
      {
        tag: 'header',
        name: 'Top',
        style: blockOf({ background: '#faf4e6', 'border-bottom': '1px solid #e4d8bf' }),
        children: [
          {
            tag: 'div',
            name: 'Bar',
            style: blockOf(
              {
                ...WIDE,
                display: 'flex',
                'flex-wrap': 'wrap',
                'align-items': 'center',
                gap: '12px 28px',
                padding: '18px 32px',
              },
              { w600: { padding: '14px 20px' } },
            ),
            children: [
              {
                tag: 'a',
                name: 'Site name',
                attributes: { href: toPage('page-home') },
                text: 'Brackenfold',
                style: blockOf({
                  'font-family': 'Literata, serif',
                  'font-size': '1.375rem',
                  'font-weight': '700',
                  color: '#20262b',
                  'text-decoration': 'none',
                }),
              },
              {
                tag: 'nav',
                name: 'Main navigation',
                attributes: { 'aria-label': text('Main') },
                children: [
                  {
                    tag: 'ul',
                    style: blockOf({
                      display: 'flex',
                      'flex-wrap': 'wrap',
                      gap: '4px 20px',
                      'list-style-type': 'none',
                    }),
                    children: (
                      [
                        ['Sheds', 'page-sheds'],
                        ['Sessions', 'page-sessions'],
                        ['Guides', 'page-guides'],
                        ['About', 'page-about'],
                      ] as const
                    ).map(([label, page]) => ({
                      tag: 'li',
                      children: [
                        {
                          tag: 'a',
                          attributes: { href: toPage(page) },
                          text: label,
                          style: blockOf({ color: '#20262b', 'text-decoration': 'none' }),
                        },
                      ],
                    })),
                  },
                ],
              },
            ],
          },
        ],
      },
      { tag: 'main', name: 'Main', children: [{ slot: 'main' }] },
      {
        tag: 'footer',
        name: 'Bottom',
        style: blockOf({ background: '#20262b', color: '#f3e6d3' }),
        children: [
          {
            tag: 'div',
            style: blockOf(
              {
                ...WIDE,
                padding: '40px 32px',
                display: 'flex',
                'flex-wrap': 'wrap',
                'justify-content': 'space-between',
                gap: '24px',
              },
              { w600: { padding: '28px 20px' } },
            ),
            children: [
              {
                tag: 'p',
                text: 'Brackenfold Repair Sheds. Twelve workshops, run by the people who use them.',
                style: blockOf({ 'margin-top': '0' }),
              },
              {
                tag: 'p',
                style: blockOf({ 'margin-top': '0' }),
                children: [
                  {
                    tag: 'a',
                    attributes: { href: toAddress('mailto:hello@brackenfold.example') },
                    text: 'hello@brackenfold.example',
                    style: blockOf({ color: '#f3e6d3' }),
                  },
                ],
              },
            ],
          },
        ],
      },
    ],
  },
  {},
  { main: 'main' },
);

const button = component(
  'button',
  'Fittings/Button',
  {
    tag: 'a',
    name: 'Button',
    attributes: { href: property('button-address') },
    text: property('button-text'),
    style: blockOf({
      display: 'inline-block',
      padding: '12px 20px',
      'border-radius': '4px',
      background: '#9a3b17',
      color: '#ffffff',
      'font-weight': '700',
      'text-decoration': 'none',
    }),
  },
  {
    'button-text': { label: 'Text', byDefault: text('Find a shed') },
    'button-address': { label: 'Address', byDefault: toPage('page-sheds') },
  },
);

const shedCard = component(
  'shed-card',
  'Fittings/Shed card',
  {
    tag: 'article',
    name: 'Card',
    style: blockOf({
      display: 'flex',
      'flex-direction': 'column',
      height: '100%',
      background: '#ffffff',
      border: '1px solid #e4d8bf',
      'border-radius': '6px',
      overflow: 'hidden',
    }),
    children: [
      {
        tag: 'img',
        name: 'Picture',
        attributes: { src: property('card-picture'), alt: text(''), loading: text('lazy') },
        style: blockOf({ width: '100%', height: 'auto' }),
      },
      {
        tag: 'div',
        name: 'Words',
        style: blockOf({ padding: '18px 20px 22px' }),
        children: [
          {
            tag: 'h3',
            name: 'Heading',
            children: [
              {
                tag: 'a',
                name: 'Link',
                attributes: { href: property('card-address') },
                text: property('card-name'),
              },
            ],
          },
          {
            tag: 'p',
            name: 'Text',
            text: property('card-text'),
            style: blockOf({ 'margin-top': '8px', 'font-size': '1rem' }),
          },
        ],
      },
    ],
  },
  {
    'card-picture': { label: 'Picture', byDefault: picture('picture-bench') },
    'card-name': { label: 'Name', byDefault: text('A shed near you') },
    'card-address': { label: 'Address', byDefault: toPage('page-sheds') },
    'card-text': { label: 'Text', byDefault: text('Tools, benches and people who know how.') },
  },
);

const sessionLine = component(
  'session-line',
  'Fittings/Session line',
  {
    tag: 'li',
    name: 'Session',
    style: blockOf({
      display: 'flex',
      'flex-wrap': 'wrap',
      'justify-content': 'space-between',
      gap: '4px 24px',
      'padding-block': '14px',
      'border-bottom': '1px solid #e4d8bf',
    }),
    children: [
      { tag: 'strong', name: 'Title', text: property('session-title') },
      {
        tag: 'span',
        name: 'When',
        children: [
          {
            tag: 'time',
            attributes: { datetime: property('session-day') },
            text: property('session-day'),
          },
          { text: ', ' },
          { tag: 'span', text: property('session-hours') },
        ],
      },
    ],
  },
  {
    'session-title': { label: 'Title', byDefault: text('Open evening') },
    'session-day': { label: 'Day', byDefault: { is: 'value', type: 'date', value: '2026-12-01' } },
    'session-hours': { label: 'Hours', byDefault: text('18:00 to 20:00') },
  },
);

const opening = component(
  'opening',
  'Sections/Opening',
  {
    tag: 'section',
    name: 'Opening',
    style: blockOf({ background: '#f3e6d3' }),
    children: [
      {
        tag: 'div',
        name: 'Row',
        style: blockOf(
          {
            ...WIDE,
            display: 'grid',
            'grid-template-columns': 'minmax(0, 1fr) minmax(0, 1fr)',
            gap: '48px',
            'align-items': 'center',
            padding: '72px 32px',
          },
          {
            w960: { gap: '32px', 'padding-block': '56px' },
            w600: { 'grid-template-columns': 'minmax(0, 1fr)', padding: '40px 20px' },
          },
        ),
        children: [
          {
            tag: 'div',
            name: 'Words',
            children: [
              { tag: 'h1', name: 'Heading', text: property('opening-heading') },
              {
                tag: 'p',
                name: 'Text',
                text: property('opening-text'),
                style: blockOf({ 'font-size': '1.1875rem', 'margin-bottom': '24px' }),
              },
              {
                component: 'button',
                values: {
                  'button-text': property('opening-button'),
                  'button-address': property('opening-address'),
                },
              },
            ],
          },
          {
            tag: 'img',
            name: 'Picture',
            attributes: { src: property('opening-picture'), alt: property('opening-alt') },
            style: blockOf({ width: '100%', height: 'auto', 'border-radius': '6px' }),
          },
        ],
      },
    ],
  },
  {
    'opening-heading': {
      label: 'Heading text',
      byDefault: text('Mend it together'),
      group: 'Heading',
    },
    'opening-text': {
      label: 'Text',
      byDefault: text('Tools, benches and people who know how.'),
      group: 'Text',
    },
    'opening-button': { label: 'Button text', byDefault: text('Find a shed'), group: 'Button' },
    'opening-address': {
      label: 'Button address',
      byDefault: toPage('page-sheds'),
      group: 'Button',
    },
    'opening-picture': { label: 'Picture', byDefault: picture('picture-bench'), group: 'Picture' },
    'opening-alt': { label: 'Picture alternative text', byDefault: text(''), group: 'Picture' },
  },
);

const cardRow = component(
  'card-row',
  'Sections/Card row',
  {
    tag: 'section',
    name: 'Card row',
    style: blockOf({ ...WIDE, padding: '64px 32px' }, { w600: { padding: '40px 20px' } }),
    children: [
      { tag: 'h2', name: 'Heading', text: property('row-heading') },
      {
        tag: 'div',
        name: 'Cards',
        style: blockOf(
          {
            display: 'grid',
            'grid-template-columns': 'repeat(3, minmax(0, 1fr))',
            gap: '24px',
            'margin-top': '24px',
          },
          {
            w960: { 'grid-template-columns': 'repeat(2, minmax(0, 1fr))' },
            w600: { 'grid-template-columns': 'minmax(0, 1fr)' },
          },
        ),
        children: [{ slot: 'cards' }],
      },
    ],
  },
  { 'row-heading': { label: 'Heading text', byDefault: text('Sheds'), group: 'Heading' } },
  { cards: 'cards' },
);

const lines = component(
  'lines',
  'Sections/Lines',
  {
    tag: 'section',
    name: 'Lines',
    style: blockOf({ ...WIDE, padding: '56px 32px' }, { w600: { padding: '36px 20px' } }),
    children: [
      { tag: 'h2', name: 'Heading', text: property('lines-heading') },
      {
        tag: 'ul',
        name: 'Lines',
        style: blockOf({
          'list-style-type': 'none',
          'margin-top': '16px',
          'border-top': '1px solid #e4d8bf',
        }),
        children: [{ slot: 'lines' }],
      },
    ],
  },
  { 'lines-heading': { label: 'Heading text', byDefault: text('Sessions'), group: 'Heading' } },
  { lines: 'lines' },
);

const joinBand = component(
  'join-band',
  'Sections/Join band',
  {
    tag: 'section',
    name: 'Join band',
    style: blockOf({ background: '#2f5d62', color: '#ffffff' }),
    children: [
      {
        tag: 'div',
        name: 'Row',
        style: blockOf(
          {
            ...WIDE,
            padding: '48px 32px',
            display: 'flex',
            'flex-wrap': 'wrap',
            'align-items': 'center',
            'justify-content': 'space-between',
            gap: '24px',
          },
          { w600: { padding: '32px 20px' } },
        ),
        children: [
          {
            tag: 'div',
            name: 'Words',
            children: [
              { tag: 'h2', name: 'Heading', text: property('join-heading') },
              { tag: 'p', name: 'Text', text: property('join-text') },
            ],
          },
          {
            component: 'button',
            values: {
              'button-text': property('join-button'),
              'button-address': property('join-address'),
            },
          },
        ],
      },
    ],
  },
  {
    'join-heading': {
      label: 'Heading text',
      byDefault: text('Good with your hands, or want to be?'),
      group: 'Heading',
    },
    'join-text': {
      label: 'Text',
      byDefault: text('Every shed is looking for people who open the door once a month.'),
      group: 'Text',
    },
    'join-button': { label: 'Button text', byDefault: text('Write to us'), group: 'Button' },
    'join-address': {
      label: 'Button address',
      byDefault: toAddress('mailto:hello@brackenfold.example'),
      group: 'Button',
    },
  },
);

const quote = component(
  'quote',
  'Sections/Quotation',
  {
    tag: 'section',
    name: 'Quotation',
    style: blockOf({ background: '#faf4e6', 'padding-block': '56px', 'padding-inline': '32px' }),
    children: [
      {
        tag: 'figure',
        style: blockOf({ 'max-width': '720px', 'margin-inline': 'auto', 'text-align': 'center' }),
        children: [
          {
            tag: 'blockquote',
            children: [
              {
                tag: 'p',
                name: 'Words',
                text: property('quote-words'),
                style: blockOf({
                  'font-family': 'Literata, serif',
                  'font-size': '1.5rem',
                  'line-height': '1.35',
                  'margin-top': '0',
                }),
              },
            ],
          },
          {
            tag: 'figcaption',
            name: 'Who',
            text: property('quote-who'),
            style: blockOf({ 'margin-top': '16px' }),
          },
        ],
      },
    ],
  },
  {
    'quote-words': {
      label: 'Words',
      byDefault: text('I came with a broken kettle and left with a key to the door.'),
    },
    'quote-who': { label: 'Who said it', byDefault: text('Jonty Okafor, Kettlewick') },
  },
);

/** The components of the demo: the surround, five sections and three fittings. */
export const components: readonly ComponentDoc[] = [
  surround,
  button,
  shedCard,
  sessionLine,
  opening,
  cardRow,
  lines,
  joinBand,
  quote,
];
