import {
  ordersFor,
  text,
  type ComponentDoc,
  type Patch,
  type Property,
  type Rule,
  type Source,
} from '@sormet/core/model';
import { keyFor } from '@sormet/core/edit';
import { booking, keepBench } from './booking';
import { HOURS } from './content/mender-cards';
import { hoursList, HOURS_TYPE } from './hours';
import { contact } from './contact';
import { menu } from './menu';
import { questions } from './questions';
import { sessionSlides } from './session-slides';
import { shedFinder } from './shed-finder';
import { number, ofItem, picture, property, toAddress, toPage } from './sources';
import { styled } from './styled';
import { component, on } from './written-component';

/** A way of varying: a choice whose first option is the base. */
interface WrittenAxis {
  readonly property: Record<string, Property>;
  readonly id: string;
  readonly optionOf: (label: string) => string;
}

function axis(id: string, label: string, labels: readonly string[], order: string): WrittenAxis {
  const orders = ordersFor(labels.length);
  const optionOf = (option: string) => `${id}-${keyFor(option, new Set()).toLowerCase()}`;
  const property: Property = {
    label,
    key: keyFor(label, new Set()),
    type: {
      kind: 'choice',
      options: Object.fromEntries(
        labels.map((each, i) => [optionOf(each), { label: each, order: orders[i]! }]),
      ),
    },
    group: null,
    order,
    default: { is: 'value', type: 'choice', value: optionOf(labels[0]!) },
    axis: true,
  };
  return { property: { [id]: property }, id, optionOf };
}

/** What the root of a component is while an axis has an option. */
function when(axis: WrittenAxis, option: string, patch: Patch, node = 'button-n1'): Rule {
  return {
    order: 'a0',
    when: { axes: { [axis.id]: axis.optionOf(option) } },
    patch: { [node]: patch },
  };
}

const surround = component(
  'surround',
  'Site surround',
  {
    tag: 'div',
    name: 'Page',
    children: [
      {
        tag: 'a',
        name: 'Skip link',
        attributes: { href: toAddress('#main') },
        text: 'To the content',
        shared: on('skip'),
      },
      {
        tag: 'header',
        name: 'Top',
        style: styled({ 'background-color': '{sand}', 'border-bottom': '{fine line}' }),
        children: [
          {
            tag: 'div',
            name: 'Bar',
            shared: on('wide'),
            style: styled(
              {
                display: 'flex',
                'flex-wrap': 'wrap',
                'align-items': 'center',
                gap: '{space 3} {space 7}',
                padding: '{space 4} {space 7}',
              },
              { w600: { padding: '{space 3} {space 5}' } },
            ),
            children: [
              {
                tag: 'a',
                name: 'Site name',
                attributes: { href: toPage('page-home') },
                text: 'Brackenfold',
                shared: on('quiet-link'),
                style: styled({
                  'font-family': '{heading family}',
                  'font-size': '1.375rem',
                  'font-weight': '{bold}',
                }),
              },
              { component: 'menu', name: 'Main menu' },
            ],
          },
        ],
      },
      {
        tag: 'main',
        name: 'Main',
        attributes: { id: text('main') },
        children: [{ slot: 'main' }],
      },
      {
        tag: 'footer',
        name: 'Bottom',
        theme: 'night',
        children: [
          {
            tag: 'div',
            shared: on('wide', 'spread'),
            style: styled(
              { padding: '{space 8} {space 7}' },
              { w600: { padding: '{space 7} {space 5}' } },
            ),
            children: [
              {
                tag: 'p',
                text: 'Brackenfold Repair Sheds. Twelve workshops, run by the people who use them.',
                style: styled({ 'margin-top': '0' }),
              },
              {
                tag: 'p',
                style: styled({ 'margin-top': '0' }),
                children: [
                  {
                    tag: 'a',
                    attributes: { href: toAddress('mailto:hello@brackenfold.example') },
                    text: 'hello@brackenfold.example',
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
    shared: on('button', 'button-main', 'button-usual'),
  },
  {
    'button-text': { label: 'Text', byDefault: text('Find a shed') },
    'button-address': { label: 'Address', byDefault: toPage('page-sheds') },
  },
);

const [tone, size] = [
  axis('button-tone', 'Tone', ['main', 'quiet', 'on dark'], 'a2'),
  axis('button-size', 'Size', ['usual', 'small', 'large'], 'a3'),
];
/** One of three tones, in one of three sizes: five rules, and none of nine drawings. */
Object.assign(button.properties, tone.property, size.property);
button.rules = {
  'button-quiet': when(tone, 'quiet', { shared: look('quiet', 'main') }),
  'button-on-dark': when(tone, 'on dark', { theme: 'night' }),
  'button-small': when(size, 'small', { shared: look('small', 'usual') }),
  'button-large': when(size, 'large', { shared: look('large', 'usual') }),
};

/** A look of buttons that is on, in the place of another. */
function look(on: string, off: string): Record<string, boolean> {
  return { [`style-button-${on}`]: true, [`style-button-${off}`]: false };
}

const shedCard = component(
  'shed-card',
  'Fittings/Shed card',
  {
    tag: 'article',
    name: 'Card',
    shared: on('card'),
    children: [
      {
        tag: 'img',
        name: 'Picture',
        attributes: { src: property('card-picture'), alt: text(''), loading: text('lazy') },
        style: styled({ width: '100%', height: 'auto' }),
      },
      {
        tag: 'div',
        name: 'Words',
        style: styled({ padding: '{space 4} {space 5} {space 5}' }),
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
            id: 'card-line',
            tag: 'p',
            name: 'Text',
            part: 'Text',
            text: property('card-text'),
            style: styled({ 'margin-top': '{space 2}', 'font-size': '{small text}' }),
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

const lies = axis('card-lies', 'Lies', ['upright', 'lying'], 'a4');
Object.assign(shedCard.properties, lies.property);
shedCard.rules = {
  'card-lying': {
    order: 'a0',
    when: { axes: { [lies.id]: lies.optionOf('lying') } },
    patch: {
      'shed-card-n1': {
        style: styled(
          { display: 'flex', 'flex-direction': 'row', 'grid-column': 'span 2' },
          { w600: { display: 'block', 'grid-column': 'auto' } },
        ),
      },
      'shed-card-n2': {
        style: styled({ width: '38%', 'object-fit': 'cover' }, { w600: { width: '100%' } }),
      },
      'shed-card-n3': { style: styled({ flex: '1 1 0' }) },
    },
  },
};

const sessionLine = component(
  'session-line',
  'Fittings/Session line',
  {
    tag: 'li',
    name: 'Session',
    shared: on('spread'),
    style: styled({
      gap: '{space 1} {space 6}',
      'padding-block': '{space 3}',
      'border-bottom': '{fine line}',
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
    style: styled({ 'background-color': '{sand deep}' }),
    children: [
      {
        tag: 'div',
        name: 'Row',
        shared: on('wide', 'room', 'columns'),
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
                shared: on('lead'),
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
            style: styled({ width: '100%', height: 'auto', 'border-radius': '{medium round}' }),
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
    shared: on('wide', 'room'),
    children: [
      { tag: 'h2', name: 'Heading', text: property('row-heading') },
      {
        tag: 'div',
        name: 'Cards',
        shared: on('cards'),
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
    shared: on('wide', 'room', 'room-less'),
    children: [
      { tag: 'h2', name: 'Heading', text: property('lines-heading') },
      {
        tag: 'ul',
        name: 'Lines',
        shared: on('plain-list'),
        style: styled({ 'margin-top': '{space 4}', 'border-top': '{fine line}' }),
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
    style: styled({ 'background-color': '{pine}', color: '{card}' }),
    children: [
      {
        tag: 'div',
        name: 'Row',
        shared: on('wide', 'spread'),
        style: styled(
          { padding: '{space 9} {space 7}' },
          { w600: { padding: '{space 7} {space 5}' } },
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
    shared: on('room', 'room-less'),
    style: styled({ 'background-color': '{sand}' }),
    children: [
      {
        tag: 'figure',
        style: styled({ 'max-width': '45rem', 'margin-inline': 'auto', 'text-align': 'center' }),
        children: [
          {
            tag: 'blockquote',
            children: [
              {
                tag: 'p',
                name: 'Words',
                text: property('quote-words'),
                style: styled({ 'margin-top': '0', 'max-width': 'none' }),
              },
            ],
          },
          {
            tag: 'figcaption',
            name: 'Who',
            text: property('quote-who'),
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

const mender = component(
  'mender-card',
  'Fittings/Mender',
  {
    tag: 'article',
    name: 'Mender',
    shared: on('card'),
    style: styled({ padding: '{space 5}' }),
    children: [
      { tag: 'h3', name: 'Heading', text: property('mender-name') },
      {
        tag: 'p',
        name: 'Mends',
        text: property('mender-mends'),
        style: styled({ 'margin-top': '{space 2}' }),
      },
      {
        tag: 'p',
        name: 'Since',
        style: styled({ 'margin-top': '{space 2}', 'font-size': '{small text}' }),
        text: sinceWords('mender-since'),
      },
    ],
  },
  {
    'mender-name': { label: 'Name', byDefault: text('Somebody who mends') },
    'mender-mends': { label: 'Mends', byDefault: text('What is brought') },
    'mender-since': { label: 'Since', byDefault: number(2024) },
  },
);

const hours = component(
  'hours',
  'Sections/Opening hours',
  {
    tag: 'section',
    name: 'Opening hours',
    shared: on('wide', 'room', 'room-less'),
    children: [
      { tag: 'h2', name: 'Heading', text: property('hours-heading') },
      {
        tag: 'table',
        name: 'Hours',
        children: [
          {
            tag: 'tbody',
            children: [
              {
                id: 'hours-each',
                repeat: { from: { list: property('hours-list') }, where: {}, order: {} },
                children: [
                  {
                    tag: 'tr',
                    children: [
                      {
                        tag: 'th',
                        attributes: { scope: text('row') },
                        text: ofItem('hours-each', 'hours-day'),
                      },
                      {
                        tag: 'td',
                        children: [
                          { text: ofItem('hours-each', 'hours-from') },
                          { text: ' to ' },
                          { text: ofItem('hours-each', 'hours-to') },
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
    ],
  },
  {
    'hours-heading': { label: 'Heading', byDefault: text('When the doors are open') },
    'hours-list': { label: 'Hours', byDefault: hoursList(HOURS) },
  },
);
hours.properties['hours-list']!.type = HOURS_TYPE;

/** A step of a guide: with its number or a picture, on paper or on night ground; four looks, two rules. */
const step = component(
  'guide-step',
  'Fittings/Guide step',
  {
    tag: 'li',
    name: 'Step',
    style: styled({
      display: 'flex',
      gap: '{space 5}',
      'align-items': 'flex-start',
      padding: '{space 5}',
      'background-color': '{paper}',
      color: '{ink}',
      'border-radius': '{medium round}',
    }),
    children: [
      {
        id: 'step-mark',
        tag: 'strong',
        name: 'Number',
        text: property('step-number'),
        style: styled({ 'font-size': '{title}', 'line-height': '{tight}' }),
      },
      {
        id: 'step-drawn',
        tag: 'img',
        name: 'Picture',
        attributes: { src: property('step-picture'), alt: text('') },
        style: styled({ width: '7rem', height: 'auto', 'border-radius': '{small round}' }),
        shown: { is: 'value', type: 'boolean', value: false },
      },
      {
        tag: 'div',
        name: 'Words',
        children: [
          { tag: 'h3', name: 'Heading', text: property('step-heading') },
          { tag: 'p', name: 'Text', text: property('step-text') },
        ],
      },
    ],
  },
  {
    'step-number': { label: 'Number', byDefault: number(1) },
    'step-picture': { label: 'Picture', byDefault: picture('picture-bench') },
    'step-heading': { label: 'Heading', byDefault: text('Look before you unscrew') },
    'step-text': {
      label: 'Text',
      byDefault: text('Take a photograph first: it knows where every part was.'),
    },
  },
);
const [marked, ground] = [
  axis('step-marked', 'Marked by', ['number', 'picture'], 'a5'),
  axis('step-ground', 'Ground', ['paper', 'night'], 'a6'),
];
Object.assign(step.properties, marked.property, ground.property);
const shown = (value: boolean): Source => ({ is: 'value', type: 'boolean', value });
step.rules = {
  'step-pictured': {
    order: 'a0',
    when: { axes: { [marked.id]: marked.optionOf('picture') } },
    patch: { 'step-mark': { shown: shown(false) }, 'step-drawn': { shown: shown(true) } },
  },
  'step-night': when(ground, 'night', { theme: 'night' }, 'guide-step-n1'),
};

/** A notice whose words follow from two choices: who is asked, and whether the doors are open. */
const notice = component('notice', 'Fittings/Notice', {
  tag: 'p',
  name: 'Notice',
  text: {
    is: 'expression',
    cel:
      'n0 == n2 ? (n1 == n3 ? "Come in: the kettle is on." : "Closed today. The next evening stands below.")' +
      ' : (n1 == n3 ? "Your bench is free: the side door is open." : "Closed today; your key opens the side door.")',
    names: {
      n0: property('notice-for'),
      n1: property('notice-doors'),
      n2: { is: 'value', type: 'choice', value: 'notice-for-visitors' },
      n3: { is: 'value', type: 'choice', value: 'notice-doors-open' },
    },
  },
  shared: on('lead'),
});
Object.assign(
  notice.properties,
  choice('notice-for', 'For', ['visitors', 'members'], 'a0'),
  choice('notice-doors', 'Doors', ['open', 'closed'], 'a1'),
);

/** A choice of some words, the first of which it has by itself. */
function choice(id: string, label: string, labels: readonly string[], order: string) {
  const { axis: _, ...made } = axis(id, label, labels, order).property[id]!;
  return { [id]: made };
}

/** "since 2014 · 11 years" from one number: when the demo was written, it was 2025. */
function sinceWords(since: string): Source {
  const year = property(since, 'hide');
  return {
    is: 'words',
    of: 'text',
    pieces: [
      'since ',
      { place: 'n0' },
      ' · ',
      {
        place: 'n1',
        format: { as: 'plural', forms: { one: '# year', other: '# years' }, none: 'new' },
      },
    ],
    names: { n0: year, n1: { is: 'expression', cel: '2025 - n0', names: { n0: property(since) } } },
  };
}

/** A component that editors may put into the slots of pages. */
const offered = (made: ComponentDoc): ComponentDoc => ({ ...made, offered: true });

/** The components of the demo: the surround, sections and fittings. */
export const components: readonly ComponentDoc[] = [
  surround,
  menu,
  button,
  shedCard,
  mender,
  sessionLine,
  opening,
  offered(cardRow),
  lines,
  offered(joinBand),
  offered(hours),
  offered(quote),
  step,
  notice,
  booking,
  keepBench,
  offered(questions),
  offered(contact),
  offered(sessionSlides),
  offered(shedFinder),
];
