import {
  FORMAT,
  HAPPENINGS,
  kindOnly,
  literal,
  NEVER_CONTENT,
  text,
  VALUE_KINDS,
  type ComponentDoc,
  type Doc,
  type Query,
  type Source,
  type StyleDoc,
  type TokensDoc,
  type TypeDoc,
  type Typed,
  type TypeSpec,
  type ValueKind,
  type Whens,
} from '../model';
import { blockOf } from '../style';
import { TONE } from './sign';
import { component, contentType, entry, page } from './small-site';

/** The kinds of values of which content holds some. */
const OF_CONTENT = VALUE_KINDS.map(({ kind }) => kind).filter((kind) => !NEVER_CONTENT.has(kind));

/** A type of each kind, with what belongs to it. */
export const SPECS: Readonly<Record<ValueKind, TypeSpec>> = {
  ...(Object.fromEntries(VALUE_KINDS.map(({ kind }) => [kind, kindOnly(kind)])) as Record<
    ValueKind,
    TypeSpec
  >),
  text: { kind: 'text', longest: 60 },
  number: { kind: 'number', least: -100, most: 100 },
  choice: TONE,
  tag: { kind: 'tag', of: { h2: true, h4: true, p: true } },
  theme: { kind: 'theme', of: { night: true, dusk: true } },
  style: { kind: 'style', of: { pill: true } },
  entry: { kind: 'entry', of: 'thing' },
  entries: { kind: 'entries', of: 'thing' },
  list: {
    kind: 'list',
    fields: Object.fromEntries(
      OF_CONTENT.filter((kind) => kind !== 'list' && kind !== 'entries').map((kind, i) => [
        kind,
        {
          label: kind,
          key: kind,
          order: `a${i.toString(36)}`,
          type: kindOnly(kind) as Exclude<TypeSpec, { kind: 'list' | 'entries' | 'action' }>,
        },
      ]),
    ),
  },
};

const read = (property: ValueKind): Source => ({ is: 'property', property });
const fed = (css: string, property: ValueKind, type: 'colour' | 'length' | 'number' | 'image') => ({
  css,
  refs: { it: { source: read(property), type } },
});

/** What is done when something is pressed: every act there is, one of them given from outside. */
const ON_PRESS: Whens = {
  press: {
    order: 'a0',
    on: 'press',
    acts: {
      given: {
        order: 'a0',
        do: 'action',
        action: read('action'),
        if: read('boolean'),
        failing: {
          seen: { order: 'a0', do: 'scroll', node: 'every-head' },
          reached: { order: 'a1', do: 'focus', node: 'every-head' },
          opened: { order: 'a2', do: 'open', node: 'every-head' },
          closed: { order: 'a3', do: 'close', node: 'every-head' },
          checked: { order: 'a4', do: 'check', node: 'every-head' },
          sent: { order: 'a5', do: 'send', node: 'every-head' },
        },
      },
      asked: { order: 'a1', do: 'ask', address: text('/ask'), post: true },
      gone: { order: 'a2', do: 'go', to: read('link') },
      copied: { order: 'a3', do: 'copy', words: read('text') },
      waited: { order: 'a4', do: 'wait', seconds: read('number') },
    },
  },
};

/** Something that is done whatever happens. */
const ON_ALL: Whens = Object.fromEntries(
  HAPPENINGS.map((on, i) => [
    on,
    {
      order: `a${i}`,
      on,
      ...(on === 'key' ? { key: 'Escape' } : {}),
      acts: { copied: { order: 'a0', do: 'copy', words: text('Seen') } },
    },
  ]),
);

/** A definition with a property of every kind, each read where it can be. */
function every(): ComponentDoc {
  const doc = component(
    'every',
    {
      id: 'every-root',
      tag: 'section',
      style: {
        ...blockOf({ 'padding-left': '4px' }),
        'max-width': fed('var(--it)', 'length', 'length'),
        color: fed('var(--it)', 'colour', 'colour'),
        opacity: fed('var(--it)', 'number', 'number'),
        'background-image': fed('linear-gradient(#0004,#0008),var(--it)', 'image', 'image'),
      },
      children: [
        { id: 'every-head', tag: 'h2', text: read('text') },
        { id: 'every-rich', tag: 'div', children: [{ text: read('rich'), rich: 'blocks' }] },
        { id: 'every-line', tag: 'p', children: [{ text: read('rich'), rich: 'line' }] },
        { id: 'every-link', tag: 'a', attributes: { href: read('link') }, text: 'Leads' },
        { id: 'every-picture', tag: 'img', part: 'Picture', attributes: { src: read('image') } },
        { id: 'every-film', tag: 'video', attributes: { src: read('video') } },
        { id: 'every-there', tag: 'p', shown: read('boolean'), text: read('date') },
        { id: 'every-icon', tag: 'span', children: [{ text: read('icon'), rich: 'icon' }] },
        { id: 'every-who', tag: 'p', text: { is: 'property', property: 'entry', path: ['text'] } },
        {
          id: 'every-list',
          repeat: { from: { list: read('list') }, where: {}, order: {} },
          children: [
            {
              tag: 'p',
              shown: { is: 'position', repeat: 'every-list', as: 'odd' },
              text: { is: 'field', from: { repeat: 'every-list' }, path: ['text'] },
            },
            {
              tag: 'h3',
              shown: {
                is: 'begins',
                repeat: 'every-list',
                of: { is: 'field', from: { repeat: 'every-list' }, path: ['text'] },
              },
              text: 'Another text',
            },
          ],
        },
        {
          id: 'every-many',
          repeat: { from: { list: read('entries') }, where: {}, order: {}, perPage: 2 },
          children: [{ tag: 'p', text: 'One of many' }],
        },
        {
          tag: 'a',
          attributes: { href: { is: 'leaf', repeat: 'every-many', as: 'next', whenEmpty: 'hide' } },
          text: { is: 'leaf', repeat: 'every-many', as: 'count' },
        },
        {
          id: 'every-others',
          repeat: { from: { list: read('entries') }, where: {}, order: {} },
          children: [
            { tag: 'p', text: { is: 'field', from: { repeat: 'every-others' }, path: ['text'] } },
          ],
        },
        { id: 'every-inner', component: 'badge', values: { word: read('text') } },
      ],
    },
    Object.fromEntries(
      VALUE_KINDS.map(({ kind, empty }) => [kind, literal({ type: kind, value: empty } as Typed)]),
    ),
  );
  for (const { kind } of VALUE_KINDS) {
    doc.properties[kind]!.type = SPECS[kind];
    doc.properties[kind]!.group = 'all';
  }
  doc.groups['all'] = { label: 'All', order: 'a0' };
  doc.properties['choice']!.axis = true;
  doc.rules['loud'] = {
    order: 'a0',
    when: { axes: { choice: 'loud' } },
    patch: { 'every-head': { style: { 'letter-spacing': fed('var(--it)', 'length', 'length') } } },
  };
  Object.assign(doc.nodes['every-head']!, { chosen: { tag: read('tag') } });
  Object.assign(doc.nodes['every-there']!, { whens: ON_PRESS });
  Object.assign(doc.nodes['every-line']!, { whens: ON_ALL });
  Object.assign(doc.nodes['every-root']!, {
    chosen: { theme: read('theme'), style: read('style') },
  });
  return doc;
}

const number = (value: number) => literal({ type: 'number', value });

/** Conditions of every sort, in groups. */
const ASKED: Pick<Query, 'where' | 'groups' | 'any'> = {
  where: {
    is: { path: ['text'], is: 'differs', source: text('None') },
    same: { path: ['text'], is: 'equals', source: text('One'), or: { two: text('Two') } },
    with: { path: ['text'], is: 'contains', source: text('n'), group: 'either' },
    least: { path: ['number'], is: 'atLeast', source: number(1), group: 'either' },
    most: { path: ['number'], is: 'atMost', source: number(9), group: 'both' },
    above: { path: ['number'], is: 'above', source: number(0), group: 'both' },
    below: { path: ['number'], is: 'below', source: number(10), group: 'both' },
    none: { path: ['date'], is: 'empty', source: text('') },
    some: { path: ['text'], is: 'filled', source: text('') },
  },
  groups: { either: { of: 'any' }, both: { of: 'all', group: 'either' } },
  any: true,
};

/** A definition that holds another with all that can be said of one where it stands, and rules for each state. */
function holder(): ComponentDoc {
  const doc = component(
    'holder',
    {
      id: 'holder-root',
      tag: 'div',
      children: [
        {
          id: 'holder-every',
          component: 'every',
          name: 'The one inside',
          part: 'Inside',
          parts: { 'every-picture': blockOf({ 'max-width': '90px' }) },
        },
        {
          id: 'holder-slots',
          component: 'holder-slot',
          slots: {
            more: [
              { component: 'every' },
              { text: text('Words in a slot') },
              {
                id: 'holder-each',
                repeat: { from: { type: 'thing' }, where: {}, order: {} },
                children: [{ tag: 'p', text: 'Each' }],
              },
            ],
          },
        },
        { text: text('Perhaps'), shown: { is: 'property', property: 'there' } },
        {
          id: 'holder-all',
          name: 'All things',
          repeat: {
            from: { type: 'thing' },
            ...ASKED,
            order: {},
            related: { to: { is: 'property', property: 'who' }, path: ['choice'] },
          },
          children: [{ tag: 'p', text: 'One of them' }],
        },
        { component: 'holder-slot', slots: { more: [{ slot: 'more', name: 'More' }] } },
        { tag: 'div', children: [{ slot: 'side' }] },
      ],
    },
    {
      around: literal({ type: 'theme', value: 'night' }),
      worn: literal({ type: 'style', value: 'pill' }),
      there: literal({ type: 'boolean', value: true }),
      who: literal({ type: 'entry', value: 'thing-one' }),
    },
    ['more', 'side'],
  );
  doc.slots['side']!.allowsTags = { img: true };
  doc.slots['side']!.allowsFolders = { Fittings: true };
  doc.properties['around']!.type = SPECS.theme;
  doc.properties['worn']!.type = SPECS.style;
  doc.slots['more'] = {
    ...doc.slots['more']!,
    allows: { every: true, badge: true },
    most: 3,
  };
  Object.assign(doc.nodes['holder-every']!, {
    chosen: {
      theme: { is: 'property', property: 'around' },
      style: { is: 'property', property: 'worn' },
    },
  });
  for (const [i, is] of ([':hover', ':focus-visible', ':active'] as const).entries())
    doc.rules[`state${i}`] = {
      order: `a${i}`,
      when: { axes: {}, pseudo: { of: 'self', is } },
      patch: { 'holder-root': { style: blockOf({ color: '#123456' }) } },
    };
  return doc;
}

/** A definition with nothing but a place that is filled. */
function holderSlot(): ComponentDoc {
  return component('holder-slot', { tag: 'div', children: [{ slot: 'more' }] }, {}, ['more']);
}

/** Tokens of the kinds that are rarer, each used. */
export const RARE_TOKENS: TokensDoc['tokens'] = {
  shade: { name: 'shade', order: 'a6', type: 'shadow', value: { css: '0 1px 2px black' } },
  dash: { name: 'dash', order: 'a7', type: 'line', value: { css: 'dashed' } },
  blend: {
    name: 'blend',
    order: 'a8',
    type: 'gradient',
    value: { css: 'linear-gradient(red,blue)' },
  },
};
const rare = (token: string, type: 'shadow' | 'line' | 'gradient') => ({
  css: 'var(--it)',
  refs: { it: { token, type } },
});

/** A shared style that came from another site. */
const brought: StyleDoc = {
  id: 'brought',
  kind: 'style',
  format: FORMAT,
  name: 'Brought',
  order: 'a5',
  base: null,
  origin: { site: 'Larkhollow', style: 'theirs' },
  style: blockOf({ color: '#654321' }),
};

/** A content type with a field of every kind, and all that can be said of fields. */
function thing(): TypeDoc {
  const type = contentType(
    'thing',
    Object.fromEntries(['text', ...OF_CONTENT].map((kind) => [kind, SPECS[kind as ValueKind]])),
  );
  type.slugFrom = ['text', 'number'];
  type.groups = { more: { label: 'More', order: 'a0' } };
  Object.assign(type.fields['text']!, { unique: true, required: true, help: 'As it is called.' });
  Object.assign(type.fields['number']!, {
    group: 'more',
    aside: true,
    default: { type: 'number', value: 3 },
  });
  return type;
}

/** A content type with a field of every kind, two entries of it, a page for each, and one where instances set everything. */
export const everyKind: readonly Doc[] = [
  every(),
  holder(),
  holderSlot(),
  brought,
  thing(),
  entry('thing', 'one', { text: { type: 'text', value: 'One' } }),
  entry('thing', 'two', { text: { type: 'text', value: 'Two' } }),
  page(
    'page-thing',
    '/things/<slug>',
    {
      tag: 'main',
      children: [
        {
          id: 'bound-every',
          component: 'every',
          values: Object.fromEntries(
            OF_CONTENT.map((kind) => [kind, { is: 'field', from: 'page', path: [kind] }]),
          ),
        },
      ],
    },
    'thing',
  ),
  page('page-every', '/every', {
    tag: 'main',
    children: [
      {
        id: 'set-every',
        component: 'every',
        style: {
          'box-shadow': rare('shade', 'shadow'),
          'border-top-style': rare('dash', 'line'),
          'background-image': rare('blend', 'gradient'),
        },
      },
      { id: 'held-every', component: 'holder-slot', slots: { more: [{ text: text('In it') }] } },
      {
        tag: 'div',
        children: [
          { text: { is: 'value', type: 'rich', value: ['Rich'] }, rich: 'blocks' },
          { text: { is: 'value', type: 'icon', value: null }, rich: 'icon' },
        ],
      },
      {
        tag: 'p',
        whens: ON_ALL,
        children: [
          { text: { is: 'value', type: 'rich', value: ['Line'] }, rich: 'line' },
          { text: text('Not there'), shown: literal({ type: 'boolean', value: false }) },
        ],
      },
      {
        id: 'page-list',
        name: 'Things',
        repeat: {
          from: { list: { is: 'value', type: 'list', value: [] } },
          where: {},
          order: {},
        },
        children: [{ tag: 'p', text: 'One' }],
      },
      {
        id: 'page-things',
        repeat: {
          from: { type: 'thing' },
          ...ASKED,
          order: {},
          related: { to: literal({ type: 'entry', value: 'thing-one' }), path: ['choice'] },
        },
        children: [{ tag: 'p', text: 'One' }],
      },
    ],
  }),
];
