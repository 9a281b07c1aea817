import { FORMAT, text, type PageDoc, type Query, type Source } from '@sormet/core/model';
import { pagesBranch, plant, type Branch } from '@sormet/core/ready';
import { number, ofItem, ofPage, picture, sortedBy, toAddress, toPage } from './sources';
import { MENDER_CARDS } from './content/mender-cards';
import { styled } from './styled';

interface Written {
  readonly id: string;
  readonly name: string;
  readonly path: string;
  readonly title: Source;
  readonly description: Source;
  readonly entries?: string;
  readonly draft?: boolean;
  readonly main: readonly Branch[];
}

function page({ id, name, path, title, description, entries, draft, main }: Written): PageDoc {
  let next = 0;
  const body: Branch = { id: `${id}-body`, component: 'surround', slots: { main } };
  const { nodes } = plant(body, { parent: null, order: 'a0' }, () => `${id}-n${(next += 1)}`);
  return {
    id,
    kind: 'page',
    format: FORMAT,
    name,
    path,
    title,
    description,
    draft: draft ?? false,
    entries: entries ?? null,
    former: {},
    nodes,
  };
}

/** An option of a choice. */
function option(value: string): Source {
  return { is: 'value', type: 'choice', value };
}

/** A card for each shed a query asks for. */
function shedCards(id: string, limit?: number, lies?: Source): Branch {
  return {
    id,
    repeat: {
      from: { type: 'shed' },
      where: {},
      order: sortedBy('shed-number'),
      ...(limit === undefined ? {} : { limit: number(limit) }),
    },
    children: [
      {
        component: 'shed-card',
        values: {
          'card-picture': ofItem(id, 'shed-picture', 'nothing'),
          'card-name': ofItem(id, 'shed-name'),
          'card-address': ofItem(id, ''),
          'card-text': ofItem(id, 'shed-summary'),
          ...(lies ? { 'card-lies': lies } : {}),
        },
      },
    ],
  };
}

/** A line for each session, of one shed where a condition is given. */
function sessionLines(id: string, asked: Partial<Query>, between: readonly Branch[] = []): Branch {
  return {
    id,
    repeat: { from: { type: 'session' }, where: {}, order: sortedBy('session-date'), ...asked },
    children: [
      ...between,
      {
        component: 'session-line',
        values: {
          'session-title': ofItem(id, 'session-name'),
          'session-day': ofItem(id, 'session-date'),
          'session-hours': ofItem(id, 'session-time'),
        },
      },
    ],
    slots: {
      none: [
        {
          tag: 'li',
          text: 'No session is planned here yet.',
          style: styled({ 'padding-block': '{space 3}' }),
        },
      ],
    },
  };
}

/** The month that begins with a session, before the first of it. */
function monthBetween(repeat: string): Branch {
  const month: Source = {
    is: 'words',
    of: 'text',
    pieces: [{ place: 'day', format: { as: 'date', style: 'monthAndYear' } }],
    names: { day: { ...ofItem(repeat, 'session-date') } },
  };
  return {
    tag: 'li',
    name: 'Month',
    shown: { is: 'begins', repeat, of: { ...month, whenEmpty: 'hide' } },
    style: styled({ 'padding-block': '{space 4} {space 2}' }),
    children: [{ tag: 'h3', name: 'Heading', text: month }],
  };
}

/** Asks the service that books benches for one of the shed whose page it is. */
const bookHere: Source = {
  is: 'acts',
  acts: {
    asks: {
      order: 'a0',
      do: 'ask',
      post: true,
      address: {
        is: 'words',
        of: 'text',
        pieces: ['/stand-in/bench?shed=', { place: 'n0' }],
        names: { n0: ofPage('shed-number') },
      },
    },
  },
};

/** The room and width of a section that is no component. */
const plainSection: Record<string, true> = {
  'style-wide': true,
  'style-room': true,
  'style-room-less': true,
};

export const pages: readonly PageDoc[] = [
  page({
    id: 'page-home',
    name: 'Home',
    path: '/',
    title: text('Brackenfold Repair Sheds'),
    description: text('Twelve neighbourhood workshops where people mend things together.'),
    main: [
      {
        component: 'opening',
        name: 'top',
        values: {
          'opening-heading': text('Bring it broken. Take it home mended.'),
          'opening-text': text(
            'Twelve sheds in twelve neighbourhoods, each with tools, a kettle and people who like a puzzle.',
          ),
          'opening-alt': text('A workbench with a toaster, a lamp and a wheel'),
        },
      },
      {
        component: 'card-row',
        values: { 'row-heading': text('The first three sheds') },
        slots: { cards: [shedCards('home-sheds', 3)] },
      },
      { component: 'slides' },
      { component: 'quote', theme: 'night' },
      { component: 'join-band' },
    ],
  }),
  page({
    id: 'page-about',
    name: 'About',
    path: '/about',
    title: text('About us'),
    description: text('Who runs the sheds, what it costs, and how to join.'),
    main: [
      {
        component: 'opening',
        name: 'top',
        values: {
          'opening-heading': text('Nobody here is an expert in everything'),
          'opening-text': text(
            'We began with one bench and a borrowed soldering iron. There is still no membership fee and no shop.',
          ),
          'opening-button': text('See the sessions'),
          'opening-address': toPage('page-sessions'),
          'opening-picture': picture('picture-table'),
          'opening-alt': text('Four people round a table of things to mend'),
        },
      },
      {
        tag: 'section',
        name: 'How it works',
        shared: plainSection,
        children: [
          { tag: 'h2', name: 'Heading', text: 'How it works' },
          {
            tag: 'p',
            name: 'Text',
            text: 'You come with the thing and stay with it. Somebody sits beside you, and you mend it together as far as it can be mended.',
          },
          {
            tag: 'p',
            name: 'Text',
            text: 'You pay for the parts, and put into the tin what the evening was worth to you.',
          },
        ],
      },
      {
        tag: 'section',
        name: 'Where it began',
        shared: plainSection,
        children: [
          { tag: 'h2', name: 'Heading', text: 'Where it began' },
          {
            component: 'shed-card',
            values: {
              'card-lies': option('card-lies-lying'),
              'card-picture': picture('picture-1'),
              'card-name': text('Alderhithe'),
              'card-address': toPage('page-shed', 'shed-alderhithe'),
              'card-text': text('A boathouse on the old landing, and the first of our benches.'),
            },
          },
        ],
      },
      { component: 'contact' },
      { component: 'join-band', values: { 'join-heading': text('Open the door with us') } },
    ],
  }),
  page({
    id: 'page-sheds',
    name: 'Sheds',
    path: '/sheds',
    title: text('All sheds'),
    description: text('All twelve sheds, with where they are and what they mend.'),
    main: [
      {
        tag: 'section',
        name: 'Title',
        style: styled({ 'background-color': '{sand deep}' }),
        children: [
          {
            tag: 'div',
            shared: plainSection,
            children: [
              { tag: 'h1', name: 'Heading', text: 'Twelve sheds' },
              {
                tag: 'p',
                name: 'Text',
                text: 'Each is run by the people of its street. Any of them will do: nobody asks where you live.',
              },
            ],
          },
        ],
      },
      { component: 'finder' },
      {
        component: 'card-row',
        values: { 'row-heading': text('Every shed, in the order they opened') },
        slots: { cards: [shedCards('all-sheds', undefined, ofItem('all-sheds', 'shed-lies'))] },
      },
      { component: 'join-band' },
    ],
  }),
  page({
    id: 'page-shed',
    name: 'Shed',
    path: '/sheds/<slug>',
    title: ofPage('shed-name'),
    description: ofPage('shed-summary'),
    entries: 'shed',
    main: [
      {
        tag: 'div',
        name: 'Title',
        shared: { 'style-wide': true },
        style: styled(
          { padding: '{space 4} {space 7}' },
          { w600: { 'padding-inline': '{space 5}' } },
        ),
        children: [
          // The first heading of the page, and no larger than its text: looks are free of levels.
          {
            tag: 'h1',
            name: 'Heading',
            text: ofPage('shed-name'),
            shared: { 'style-quiet-heading': true },
          },
        ],
      },
      {
        component: 'lines',
        name: 'sessions',
        values: { 'lines-heading': text('Sessions here') },
        slots: {
          lines: [
            sessionLines('shed-sessions', {
              where: { here: { path: ['session-shed'], is: 'equals', source: ofPage('') } },
            }),
          ],
        },
      },
      { component: 'keep-bench', values: { 'keep-does': bookHere } },
      { component: 'join-band', values: { 'join-heading': text('This shed is looking for you') } },
    ],
  }),
  page({
    id: 'page-menders',
    name: 'Menders',
    path: '/menders',
    title: text('Who mends'),
    description: text('The people of the benches, and what they are good at.'),
    draft: true,
    main: [
      {
        tag: 'section',
        name: 'Title',
        shared: plainSection,
        children: [{ tag: 'h1', name: 'Heading', text: 'Who mends' }],
      },
      {
        component: 'card-row',
        values: { 'row-heading': text('Twenty-three people, three evenings a week') },
        slots: {
          cards: MENDER_CARDS.map(([name, mends, since], i) => ({
            id: `mender-${i + 1}`,
            component: 'mender-card',
            values: {
              'mender-name': text(name),
              'mender-mends': text(mends),
              'mender-since': number(since),
            },
          })),
        },
      },
      { component: 'hours' },
    ],
  }),
  page({
    id: 'page-sessions',
    name: 'Sessions',
    path: '/sessions',
    title: text('Sessions'),
    description: text('When to come, and to which shed.'),
    main: [
      {
        tag: 'section',
        name: 'Title',
        shared: plainSection,
        children: [
          { tag: 'h1', name: 'Heading', text: 'Sessions this winter' },
          { component: 'notice', values: { 'notice-doors': option('notice-doors-closed') } },
        ],
      },
      {
        component: 'lines',
        values: { 'lines-heading': text('All of them, by month') },
        slots: {
          lines: [sessionLines('all-sessions', { perPage: 20 }, [monthBetween('all-sessions')])],
        },
      },
      { ...pagesBranch('all-sessions'), shared: plainSection },
      { component: 'questions' },
    ],
  }),
  page({
    id: 'page-guides',
    name: 'Guides',
    path: '/guides',
    title: text('Guides'),
    description: text('How to mend what breaks most often.'),
    main: [
      {
        tag: 'section',
        name: 'Title',
        shared: plainSection,
        children: [
          { tag: 'h1', name: 'Heading', text: 'Guides' },
          { tag: 'p', name: 'Text', text: 'Short and tried out. Each was written beside a bench.' },
        ],
      },
      {
        component: 'card-row',
        values: { 'row-heading': text('Start with these') },
        slots: {
          cards: [
            {
              id: 'all-guides',
              repeat: {
                from: { type: 'guide' },
                where: {},
                order: sortedBy('guide-minutes'),
              },
              children: [
                {
                  component: 'shed-card',
                  values: {
                    'card-picture': { is: 'value', type: 'image', value: null },
                    'card-name': ofItem('all-guides', 'guide-title'),
                    'card-address': toAddress('mailto:hello@brackenfold.example'),
                    'card-text': ofItem('all-guides', 'guide-summary'),
                  },
                  // A guide has no picture: its words may be larger than a shed's.
                  parts: { 'card-line': styled({ 'font-size': '{text}' }) },
                },
              ],
            },
          ],
        },
      },
      {
        tag: 'section',
        name: 'In any guide',
        shared: plainSection,
        children: [
          { tag: 'h2', name: 'Heading', text: 'In every one of them' },
          {
            tag: 'ol',
            name: 'Steps',
            style: styled({
              display: 'grid',
              'grid-template-columns': 'repeat(auto-fit,minmax(min(100%,18rem),1fr))',
              gap: '{space 4}',
              'margin-top': '{space 6}',
              padding: '0',
              'list-style': 'none',
            }),
            children: [
              { component: 'guide-step' },
              {
                component: 'guide-step',
                values: {
                  'step-number': number(2),
                  'step-heading': text('Lay the screws out in order'),
                  'step-text': text('On a line of tape, in the way they came out.'),
                },
              },
              {
                component: 'guide-step',
                values: {
                  'step-marked': option('step-marked-picture'),
                  'step-ground': option('step-ground-night'),
                  'step-heading': text('Ask whoever sits beside you'),
                  'step-text': text('Nobody here is an expert in everything.'),
                },
              },
            ],
          },
        ],
      },
    ],
  }),
  page({
    id: 'page-winter',
    name: 'Winter mending',
    path: '/winter',
    title: text('Winter mending'),
    description: text('What to bring before it snows.'),
    draft: true,
    main: [
      {
        tag: 'section',
        name: 'Title',
        shared: plainSection,
        children: [
          { tag: 'h1', name: 'Heading', text: 'Winter mending' },
          { tag: 'p', name: 'Text', text: 'To be written before the first snow.' },
        ],
      },
    ],
  }),
];
