import { bareSite } from './bare-site';
import { plant, type Branch } from '@sormet/core/ready';
import {
  FORMAT,
  ordersFor,
  text,
  type ComponentDoc,
  Documents,
  type Doc,
  type RichPiece,
  type TypeSpec,
  type EntryDoc,
  type PageDoc,
  type Source,
  kindOnly,
} from '@sormet/core/model';
import { blockOf } from '@sormet/core/style';
import { TONE } from '@sormet/core/test';

const reads = (property: string): Source => ({ is: 'property', property });
const ofCard = (field: string): Source => ({
  is: 'field',
  from: { repeat: 'cards' },
  path: field === '' ? [] : [field],
});
const style = blockOf({ padding: '1px' });

function component(
  id: string,
  root: Branch,
  types: Record<string, Source & { is: 'value' }>,
): ComponentDoc {
  const orders = ordersFor(Object.keys(types).length);
  let next = 0;
  return {
    id,
    kind: 'component',
    format: FORMAT,
    name: id,
    properties: Object.fromEntries(
      Object.entries(types).map(([property, byDefault], i) => [
        property,
        {
          label: property,
          key: property,
          type: kindOnly(byDefault.type),
          group: null,
          order: orders[i]!,
          default: byDefault,
        },
      ]),
    ),
    groups: {},
    rules: {},
    slots: {},
    nodes: plant(root, { parent: null, order: 'a0' }, () => `${id}${(next += 1)}`).nodes,
  };
}

/** A piece as rich text holds it. */
function pieceOf(piece: Piece): RichPiece {
  if (typeof piece === 'string') return piece;
  if ('strong' in piece) return { tag: 'strong', children: [piece.strong] };
  return { tag: 'a', link: { to: 'address', href: piece.href }, children: [piece.text] };
}

export const NAV: readonly (readonly [string, string])[] = [
  ['Home', '/'],
  ['Sheds', '/sheds'],
  ['Guides', '/guides'],
  ['Sessions', '/sessions'],
  ['About', '/about'],
  ['Write', 'mailto:hello@sheds.example'],
];
export const FOOTER = 'Run by the people who use it. Tools & tea for everybody.';
export const CARDS = 24;

/** What one card says, as plain data for the other engines. */
export interface CardData {
  readonly title: string;
  readonly text: string;
  readonly label: string;
  readonly href: string;
  readonly open: boolean;
  readonly tone: 'calm' | 'loud';
}

/** A piece of rich text: words, words that stand out, or a link. */
export type Piece =
  | string
  | { readonly strong: string }
  | { readonly text: string; readonly href: string };

export interface PageData {
  readonly name: string;
  readonly summary: readonly Piece[];
  readonly cards: readonly CardData[];
}

/** What each page says: words with something to escape in every third, a condition that differs. */
export function pageData(count: number): PageData[] {
  return Array.from({ length: count }, (_, p) => ({
    name: `Workshop ${p}${p % 3 === 0 ? ' & yard' : ''}`,
    summary: [
      `The ${p}th of many, where things are `,
      { strong: 'mended' },
      ' by the people who brought them and by those who know ',
      { text: 'how & why', href: `/how/${p % 40}` },
      '.',
    ],
    cards: Array.from({ length: CARDS }, (_, c) => ({
      title: `Evening ${c} at ${p}`,
      text: `Lamps, leads ${c % 3 === 0 ? '& plugs' : 'and plugs'} for table ${(p * 7 + c) % 12}, from six until the kettle is empty.`,
      label: `Book ${c}`,
      href: `/book/${p}/${c}/seat-${(p + c) % 9}`,
      open: (p + c) % 4 !== 0,
      tone: (p + c) % 5 === 0 ? 'loud' : 'calm',
    })),
  }));
}

/** The same as documents: a page made from entries, with nav, intro, a repeat of cards with a nested button and a condition, footer. */
export function cardSite(pages: readonly PageData[]): {
  documents: Documents;
  entries: EntryDoc[];
  page: string;
} {
  const button = component(
    'button',
    { id: 'btn', tag: 'a', style, attributes: { href: reads('to') }, text: reads('label') },
    { label: text('Go'), to: { is: 'value', type: 'link', value: { to: 'address', href: '/' } } },
  );
  const card = component(
    'card',
    {
      id: 'crd',
      tag: 'article',
      style,
      children: [
        { tag: 'h3', text: reads('title') },
        { tag: 'p', text: reads('words') },
        {
          component: 'button',
          values: { label: reads('more'), to: reads('href') },
          shown: reads('open'),
        },
      ],
    },
    {
      title: text(''),
      words: text(''),
      more: text('Go'),
      href: { is: 'value', type: 'link', value: { to: 'address', href: '/' } },
      open: { is: 'value', type: 'boolean', value: true },
      tone: { is: 'value', type: 'choice', value: 'calm' },
    },
  );
  Object.assign(card.properties['tone']!, { type: TONE, axis: true });
  card.rules['louder'] = {
    order: 'a0',
    when: { axes: { tone: 'loud' } },
    patch: { crd: { style } },
  };
  const body: Branch = {
    tag: 'div',
    children: [
      {
        tag: 'header',
        children: [
          {
            tag: 'nav',
            attributes: { 'aria-label': text('Main') },
            children: [
              {
                tag: 'ul',
                children: NAV.map(([label, href]) => ({
                  tag: 'li',
                  children: [
                    {
                      tag: 'a',
                      attributes: {
                        href: {
                          is: 'value',
                          type: 'link',
                          value: { to: 'address', href },
                        },
                      },
                      text: label,
                    },
                  ],
                })),
              },
            ],
          },
        ],
      },
      {
        tag: 'main',
        children: [
          {
            id: 'intro',
            tag: 'section',
            style,
            children: [
              { tag: 'h1', text: { is: 'field', from: 'page', path: ['name'] } },
              {
                tag: 'p',
                children: [
                  { text: { is: 'field', from: 'page', path: ['summary'] }, rich: 'line' },
                ],
              },
            ],
          },
          {
            tag: 'section',
            children: [
              {
                id: 'cards',
                repeat: {
                  from: { type: 'session' },
                  where: {
                    here: {
                      path: ['at'],
                      is: 'equals',
                      source: { is: 'field', from: 'page', path: [] },
                    },
                  },
                  order: { place: { path: ['place'], descending: false, order: 'a0' } },
                },
                children: [
                  {
                    component: 'card',
                    values: {
                      title: ofCard('title'),
                      words: ofCard('text'),
                      more: ofCard('label'),
                      href: ofCard('href'),
                      open: ofCard('open'),
                      tone: ofCard('tone'),
                    },
                  },
                ],
              },
            ],
          },
        ],
      },
      { tag: 'footer', children: [{ tag: 'p', text: FOOTER }] },
    ],
  };
  let next = 0;
  const page: PageDoc = {
    id: 'page',
    kind: 'page',
    format: FORMAT,
    name: 'page',
    path: '/w/<slug>',
    title: text('t'),
    description: text(''),
    draft: false,
    entries: 'workshop',
    former: {},
    nodes: plant(body, { parent: null, order: 'a0' }, () => `pg${(next += 1)}`).nodes,
  };
  const field = (type: TypeSpec) => ({ label: type.kind, key: 'k', type, order: 'a0' });
  const type = (id: string, fields: Record<string, object>) => ({
    id,
    kind: 'type',
    format: FORMAT,
    name: id,
    plural: id,
    title: Object.keys(fields)[0]!,
    fields,
  });
  const docs: object[] = [
    button,
    card,
    page,
    ...bareSite(),
    type('workshop', { name: field({ kind: 'text' }), summary: field({ kind: 'rich' }) }),
    type('session', {
      title: field({ kind: 'text' }),
      text: field({ kind: 'text' }),
      label: field({ kind: 'text' }),
      href: field({ kind: 'link' }),
      open: field({ kind: 'boolean' }),
      tone: field(TONE),
      at: field({ kind: 'entry', of: 'workshop' }),
      place: field({ kind: 'number' }),
    }),
  ];
  const entries: EntryDoc[] = [];
  pages.forEach(({ name, summary, cards }, p) => {
    const id = `w${p}`;
    const entry: EntryDoc = {
      id,
      kind: 'entry',
      format: FORMAT,
      type: 'workshop',
      slug: id,
      draft: false,
      values: {
        name: { type: 'text', value: name },
        summary: { type: 'rich', value: summary.map(pieceOf) },
      },
    };
    entries.push(entry);
    docs.push(entry);
    cards.forEach((each, c) =>
      docs.push({
        id: `s${p}-${c}`,
        kind: 'entry',
        format: FORMAT,
        type: 'session',
        slug: `s${p}-${c}`,
        draft: false,
        values: {
          title: { type: 'text', value: each.title },
          text: { type: 'text', value: each.text },
          label: { type: 'text', value: each.label },
          href: { type: 'link', value: { to: 'address', href: each.href } },
          open: { type: 'boolean', value: each.open },
          tone: { type: 'choice', value: each.tone },
          at: { type: 'entry', value: id },
          place: { type: 'number', value: c },
        },
      }),
    );
  });
  return {
    documents: Documents.from(docs as Doc[]),
    entries,
    page: 'page',
  };
}
