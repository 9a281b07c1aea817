import {
  literal,
  text,
  yesNo,
  type ComponentDoc,
  type Declared,
  type Doc,
  type SpecOf,
  type StyleDoc,
  type TokensDoc,
  FORMAT,
} from '../model';
import { blockOf } from '../style';
import { component, tokens } from './small-site';

/**
 * A component whose look varies in every way there is: shared styles, tokens, an axis with a rule for one of its
 * options and for the states of its root and of a part, a declaration that a property feeds.
 */

const option = (label: string, order: string) => ({ label, order });

/** The axis of `sign`. */
export const TONE: SpecOf<'choice'> = {
  kind: 'choice',
  options: { calm: option('Calm', 'a0'), loud: option('Loud', 'a1') },
};

export const signTokens: TokensDoc = {
  ...tokens,
  tokens: {
    ink: { name: 'ink', order: 'a0', type: 'colour', value: { css: '#203040' } },
    soft: {
      name: 'ink/soft',
      order: 'a1',
      type: 'colour',
      value: {
        css: 'color-mix(in srgb,var(--of) 60%,white)',
        refs: { of: { token: 'ink', type: 'colour' } },
      },
    },
    step: { name: 'step', order: 'a2', type: 'length', value: { css: '0.5rem' } },
  },
  themes: {
    night: {
      name: 'Night',
      order: 'a0',
      values: { ink: { css: '#f0e0d0' }, step: { css: '1rem' } },
    },
    dusk: {
      name: 'Dusk',
      order: 'a1',
      values: {
        soft: {
          css: 'color-mix(in srgb,var(--of) 60%,black)',
          refs: { of: { token: 'ink', type: 'colour' } },
        },
      },
    },
  },
};

const token = (id: string, type: 'colour' | 'length'): Declared => ({
  css: 'var(--it)',
  refs: { it: { token: id, type } },
});

const style = (
  id: string,
  order: string,
  base: string | null,
  block: StyleDoc['style'],
): StyleDoc => ({
  id,
  kind: 'style',
  format: FORMAT,
  name: id,
  order,
  base,
  origin: null,
  style: block,
});

export const sharedStyles: readonly StyleDoc[] = [
  style('pill', 'a1', null, {
    ...blockOf(
      { 'border-radius': '99px', 'padding-left': '9px' },
      { w500: { 'padding-left': '5px' } },
    ),
    'background-color': token('soft', 'colour'),
  }),
  style('pill-wide', 'a0', 'pill', blockOf({ 'padding-left': '30px' })),
];

/** The component, its axis and its rules. */
export function sign(id = 'sign'): ComponentDoc {
  const doc = component(
    id,
    {
      id: `${id}-root`,
      tag: 'section',
      style: {
        ...blockOf({ color: 'rgb(1,2,3)', 'padding-left': '4px' }),
        opacity: {
          css: 'var(--share)',
          refs: { share: { source: { is: 'property', property: 'share' }, type: 'number' } },
        },
        'row-gap': token('step', 'length'),
      },
      children: [
        { id: `${id}-words`, tag: 'p', style: blockOf({ 'font-weight': '400' }), text: 'A sign' },
        { id: `${id}-badge`, component: 'badge' },
        { id: `${id}-line`, tag: 'hr' },
      ],
    },
    {
      tone: literal({ type: 'choice', value: 'calm' }),
      share: literal({ type: 'number', value: 1 }),
    },
  );
  Object.assign(doc.properties['tone']!, { type: TONE, axis: true });
  const loud = { tone: 'loud' };
  const patch = (node: string, block: StyleDoc['style']) => ({
    [`${id}-${node}`]: { style: block },
  });
  doc.rules = {
    louder: {
      order: 'a0',
      when: { axes: loud },
      patch: {
        ...patch('words', { 'font-weight': { css: '700' }, color: token('ink', 'colour') }),
        [`${id}-badge`]: { values: { word: text('Loud') } },
        [`${id}-line`]: { shown: yesNo(false) },
        [`${id}-root`]: {
          style: blockOf({ color: 'rgb(200,0,0)' }, { w900: { 'padding-left': '2px' } }),
          attributes: { title: text('A loud sign') },
        },
      },
    },
    pointed: {
      order: 'a1',
      when: { axes: {}, pseudo: { of: 'root', is: ':hover' } },
      patch: patch('words', blockOf({ 'text-decoration': 'underline', 'font-weight': '300' })),
    },
    pressed: {
      order: 'a2',
      when: { axes: loud, pseudo: { of: 'self', is: ':hover' } },
      patch: patch('root', blockOf({ color: 'rgb(0,0,200)' })),
    },
  };
  return doc;
}

/** A word that whoever places it may set. */
const badge = component(
  'badge',
  { tag: 'span', text: { is: 'property', property: 'word' } },
  { word: text('Quiet') },
);

/** Everything a sign needs on a site. */
export const signDocs: readonly Doc[] = [signTokens, ...sharedStyles, badge, sign()];
