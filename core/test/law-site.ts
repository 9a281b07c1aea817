import { brackenfold } from '@sormet/demo';
import {
  DATE_FIELDS,
  newId,
  placeAt,
  rootOf,
  type ComponentDoc,
  type Doc,
  type PageDoc,
  type Source,
  type TokensDoc,
  type TypeDoc,
  type Typed,
} from '../model';
import { plant, type Branch } from '../ready';
import { blockOf } from '../style';
import { everyKind, RARE_TOKENS } from './every-kind';
import { foldingDocs } from './folding';
import { signDocs, TONE } from './sign';
import { component, queryOf, TIMES } from './small-site';

const shipped = brackenfold().documents;
/** A definition that lists content, so that several pages ask one query. */
const roll = component('roll', {
  tag: 'ul',
  children: [
    {
      id: 'rounds',
      repeat: queryOf('shed', [], [['shed-number', true]]),
      children: [
        {
          tag: 'li',
          attributes: { title: { is: 'position', repeat: 'rounds', as: 'number' } },
          text: { is: 'field', from: { repeat: 'rounds' }, path: ['shed-name'] },
        },
        { tag: 'li', shown: { is: 'position', repeat: 'rounds', as: 'last' }, text: 'And so on' },
        {
          tag: 'li',
          shown: {
            is: 'begins',
            repeat: 'rounds',
            of: { is: 'field', from: { repeat: 'rounds' }, path: ['shed-town'] },
          },
          text: 'Another town',
        },
      ],
    },
  ],
});
/** A long list on three pages, with what leads from one to the next. */
const leaves: Branch = {
  tag: 'section',
  children: [
    {
      id: 'on-leaves',
      repeat: queryOf('shed', [], [['shed-name', false]], { perPage: 3 }),
      children: [
        {
          tag: 'p',
          attributes: { title: { is: 'position', repeat: 'on-leaves', as: 'number' } },
          text: { is: 'field', from: { repeat: 'on-leaves' }, path: ['shed-name'] },
        },
        {
          tag: 'time',
          text: { is: 'field', from: { repeat: 'on-leaves' }, path: [DATE_FIELDS.changed] },
        },
      ],
    },
    { tag: 'time', text: { is: 'today', days: 3 } },
    ...(['before', 'next'] as const).map((as): Branch => {
      const href: Source = { is: 'leaf', repeat: 'on-leaves', as, whenEmpty: 'hide' };
      return { tag: 'a', attributes: { href }, text: as };
    }),
  ],
};
const withMore = (id: string, ...branches: Branch[]): PageDoc =>
  branches.reduce(
    (doc, branch) => {
      const place = placeAt(doc.nodes, rootOf(doc.nodes), 9, 'main');
      return { ...doc, nodes: { ...doc.nodes, ...plant(branch, place, newId).nodes } };
    },
    shipped.get(id) as PageDoc,
  );
const shed = shipped.get('shed') as TypeDoc;
/** A content type with a choice among its fields, and entries that differ in it. */
const toned: Doc[] = [
  {
    ...shed,
    fields: { ...shed.fields, tone: { label: 'Tone', key: 'tone', order: 'b00', type: TONE } },
  },
  ...shipped
    .all('entry')
    .filter(({ type }) => type === 'shed')
    .map((doc, i) => {
      const tone: Typed = { type: 'choice', value: i % 2 === 0 ? 'loud' : 'calm' };
      const times = i === 3 ? { from: TIMES[0], until: TIMES[2] } : undefined;
      return { ...doc, ...(times ? { times } : {}), values: { ...doc.values, tone } };
    }),
];
const signed: Branch = {
  id: 'a-sign',
  component: 'sign',
  shared: { pill: true, 'pill-wide': true },
  style: blockOf({ color: 'green' }),
  theme: 'night',
};
const ofEntry: Source = { is: 'field', from: 'page', path: ['tone'] };
const signTokens = signDocs.find((doc): doc is TokensDoc => doc.kind === 'tokens')!;
/** The tokens of the demo with those of the sign. */
const allTokens: TokensDoc = {
  ...shipped.tokens,
  tokens: { ...shipped.tokens.tokens, ...signTokens.tokens, ...RARE_TOKENS },
  themes: { ...shipped.tokens.themes, ...signTokens.themes },
};
/**
 * The demo, with a component that nothing places and whose nodes have the ids of another's, with one that two pages
 * place and that lists entries, and with one whose look varies in every way there is.
 */
export const demo = shipped.with(
  { ...(shipped.get('quote') as ComponentDoc), id: 'spare', name: 'Spare/Quote' },
  ...toned,
  ...signDocs.filter(({ kind }) => kind !== 'tokens'),
  allTokens,
  roll,
  ...everyKind,
  ...foldingDocs,
  withMore('page-home', { id: 'home-roll', component: 'roll' }, signed, {
    id: 'home-folding',
    component: 'folding',
  }),
  withMore('page-about', { id: 'about-roll', component: 'roll' }, leaves),
  withMore('page-shed', { ...signed, values: { tone: ofEntry } }),
);
