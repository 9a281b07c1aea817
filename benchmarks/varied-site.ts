import { bareSite } from './bare-site';
import { plant, type Branch } from '@sormet/core/ready';
import {
  Documents,
  FORMAT,
  literal,
  ordersFor,
  text,
  type ComponentDoc,
  type Doc,
  type EntryDoc,
  type Source,
  type TypeSpec,
} from '@sormet/core/model';
import { blockOf } from '@sormet/core/style';

/** How many cards stand on the page. */
export const VARIED = 24;

const NAME: Source = { is: 'field', from: 'page', path: ['name'] };
const worked = (cel: string, names: Record<string, Source>): Source => ({
  is: 'expression',
  cel,
  names,
});
const reads = (property: string): Source => ({ is: 'property', property });
const option = (value: string) => literal({ type: 'choice', value });
const choice = (...options: string[]): TypeSpec => {
  const orders = ordersFor(options.length);
  return {
    kind: 'choice',
    options: Object.fromEntries(options.map((id, i) => [id, { label: id, order: orders[i]! }])),
  };
};

const BASE = blockOf({ padding: '1px' });
const LOUD = blockOf({ color: 'red' });
const LARGE = blockOf({ 'font-size': '20px' });

/** What one card is given. */
interface Given {
  readonly tone: 'calm' | 'loud';
  readonly size: 'small' | 'large';
  readonly many: number;
  readonly words: string;
}

const GIVEN: readonly Given[] = Array.from({ length: VARIED }, (_, i) => ({
  tone: i % 3 === 0 ? 'loud' : 'calm',
  size: i % 2 === 0 ? 'small' : 'large',
  many: i % 7,
  words: `Words of card ${i}, from six until the kettle is empty.`,
}));

/** A card with two axes, a rule for both together, a slot, and three values that are worked out. */
function card(): ComponentDoc {
  const properties: [string, TypeSpec, Source & { is: 'value' }, boolean][] = [
    ['title', { kind: 'text' }, text(''), false],
    ['words', { kind: 'text' }, text(''), false],
    ['many', { kind: 'number' }, literal({ type: 'number', value: 0 }), false],
    ['tone', choice('calm', 'loud'), option('calm'), true],
    ['size', choice('small', 'large'), option('small'), true],
  ];
  const orders = ordersFor(properties.length);
  const title = reads('title');
  let next = 0;
  const root: Branch = {
    id: 'root',
    tag: 'article',
    style: BASE,
    children: [
      {
        tag: 'h3',
        text: worked('n1 == n2 ? n0 + "!" : n0', {
          n0: title,
          n1: reads('tone'),
          n2: option('loud'),
        }),
      },
      {
        tag: 'p',
        text: worked('n1 > 3 ? "Many of " + n0 : n2', {
          n0: title,
          n1: reads('many'),
          n2: reads('words'),
        }),
      },
      {
        id: 'more',
        tag: 'p',
        shown: worked('n0 % 2 == 0', { n0: reads('many') }),
        text: 'Even so many',
      },
      { tag: 'div', children: [{ slot: 'acts' }] },
    ],
  };
  return {
    id: 'card',
    kind: 'component',
    format: FORMAT,
    name: 'card',
    properties: Object.fromEntries(
      properties.map(([id, type, byDefault, isAxis], i) => [
        id,
        {
          label: id,
          key: id,
          type,
          group: null,
          order: orders[i]!,
          default: byDefault,
          ...(isAxis ? { axis: true as const } : {}),
        },
      ]),
    ),
    groups: {},
    slots: { acts: { label: 'acts', order: 'a0' } },
    rules: {
      loud: { order: 'a0', when: { axes: { tone: 'loud' } }, patch: { root: { style: LOUD } } },
      large: { order: 'a1', when: { axes: { size: 'large' } }, patch: { root: { style: LARGE } } },
      both: {
        order: 'a2',
        when: { axes: { tone: 'loud', size: 'large' } },
        patch: { more: { shown: literal({ type: 'boolean', value: false }) } },
      },
    },
    nodes: plant(root, { parent: null, order: 'a0' }, () => `c${(next += 1)}`).nodes,
  };
}

const ACT: Branch = { tag: 'a', text: NAME };

/** The card as an instance that picks its options and is given the rest. */
function asInstance({ tone, size, many, words }: Given): Branch {
  return {
    component: 'card',
    values: {
      title: NAME as never,
      words: text(words),
      many: literal({ type: 'number', value: many }),
      tone: option(tone),
      size: option(size),
    },
    slots: { acts: [ACT] },
  };
}

/** The card as somebody writes it out by plain elements, each its own way. */
function asElements({ tone, size, many, words }: Given): Branch {
  const isHidden = many % 2 !== 0 || (tone === 'loud' && size === 'large');
  return {
    tag: 'article',
    style: { ...BASE, ...(tone === 'loud' ? LOUD : {}), ...(size === 'large' ? LARGE : {}) },
    children: [
      { tag: 'h3', text: tone === 'loud' ? worked('n0 + "!"', { n0: NAME }) : NAME },
      { tag: 'p', text: many > 3 ? worked('"Many of " + n0', { n0: NAME }) : words },
      ...(isHidden ? [] : [{ tag: 'p', text: 'Even so many' }]),
      { tag: 'div', children: [ACT] },
    ],
  };
}

/** A page made from entries that shows the cards, as instances or written out; both give the same HTML but for the names of classes. */
export function variedSite(
  way: 'instances' | 'elements',
  pages: number,
): { documents: Documents; entries: EntryDoc[]; page: string } {
  const make = way === 'instances' ? asInstance : asElements;
  let next = 0;
  const body: Branch = {
    tag: 'main',
    children: GIVEN.map((given, i) => ({ ...make(given), id: `each${i}` })),
  };
  const entries = Array.from({ length: pages }, (_, p): EntryDoc => ({
    id: `w${p}`,
    kind: 'entry',
    format: FORMAT,
    type: 'workshop',
    slug: `w${p}`,
    draft: false,
    values: { name: { type: 'text', value: `Workshop ${p}${p % 3 === 0 ? ' & yard' : ''}` } },
  }));
  const docs: object[] = [
    card(),
    {
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
    },
    ...bareSite(),
    {
      id: 'workshop',
      kind: 'type',
      format: FORMAT,
      name: 'workshop',
      plural: 'workshops',
      title: 'name',
      fields: { name: { label: 'name', key: 'name', type: { kind: 'text' }, order: 'a0' } },
    },
    ...entries,
  ];
  return { documents: Documents.from(docs as Doc[]), entries, page: 'page' };
}
