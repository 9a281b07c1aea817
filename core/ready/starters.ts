import {
  allOf,
  newId,
  own,
  text,
  type ComponentDoc,
  type Documents,
  type Literal,
  type StyleDoc,
} from '../model';
import { BEHAVING, READY_FOLDER } from './behaving';
import type { Branch } from './branches';
import { READY_SECTIONS } from './ready-sections';
import { ReadyStyles } from './ready-styles';
import { WORDS_FOR } from './words-for';

const address = (href: string): Literal => ({
  is: 'value',
  type: 'link',
  value: { to: 'address', href },
});

/** What is placed of a starter on a site: its branch, and the shared styles that the site lacks for it. */
export interface Started {
  readonly branch: Branch;
  readonly styles: readonly StyleDoc[];
  /** The definitions that the site lacks for it. */
  readonly components: readonly ComponentDoc[];
}

/** Something the shelf offers to begin from. */
export interface Starter {
  readonly key: string;
  readonly label: string;
  readonly folder: 'Ready sections' | 'Elements' | 'Ready that do something';
  /** What else it is called, by people of the trade and in HTML. */
  readonly also: readonly string[];
  readonly make: (documents: Documents, makeId?: () => string) => Started;
}

/** The ready sections and elements that every site begins with. */
export const STARTERS: readonly Starter[] = [
  ...READY_SECTIONS.map(({ key, label, make }): Starter => ({
    key,
    label,
    folder: 'Ready sections',
    also: own(WORDS_FOR, key) ?? [],
    make(documents, makeId = newId) {
      const styles = new ReadyStyles(documents, makeId);
      return { branch: make(styles), styles: styles.made, components: [] };
    },
  })),
  ...BEHAVING.map(({ key, label, make }): Starter => ({
    key,
    label,
    folder: 'Ready that do something',
    also: own(WORDS_FOR, key) ?? [],
    make(documents, makeId = newId) {
      // The one that was made of it before is placed again.
      const name = `${READY_FOLDER}/${label}`;
      const there = allOf(documents, 'component').find((each) => each.name === name);
      if (there) return { branch: { component: there.id }, styles: [], components: [] };
      const styles = new ReadyStyles(documents, makeId);
      const component = make(makeId(), styles);
      return {
        branch: { component: component.id },
        styles: styles.made,
        components: [component],
      };
    },
  })),
  element('heading', 'Heading', { tag: 'h2', text: 'Heading' }),
  element('text', 'Text', { tag: 'p', text: 'Text' }),
  element('rich', 'Rich text', {
    tag: 'div',
    name: 'Rich text',
    children: [
      {
        text: {
          is: 'value',
          type: 'rich',
          value: [
            { tag: 'p', children: ['Words with ', { tag: 'strong', children: ['emphasis'] }] },
          ],
        },
        rich: 'blocks',
      },
    ],
  }),
  element('icon', 'Icon', {
    tag: 'span',
    name: 'Icon',
    children: [
      {
        text: {
          is: 'value',
          type: 'icon',
          value: {
            name: 'circle',
            box: [0, 0, 24, 24],
            drawn: 'lines',
            shapes: [{ tag: 'circle', geometry: { cx: '12', cy: '12', r: '9' } }],
          },
        },
        rich: 'icon',
      },
    ],
  }),
  element('link', 'Link', { tag: 'a', text: 'Link', attributes: { href: address('/') } }),
  element('element-button', 'Button', {
    tag: 'button',
    text: 'Button',
    attributes: { type: text('button') },
  }),
  element('picture', 'Picture', {
    tag: 'img',
    attributes: { src: { is: 'value', type: 'image', value: null }, alt: text('') },
  }),
  element('film', 'Film', {
    tag: 'video',
    attributes: {
      src: { is: 'value', type: 'video', value: null },
      controls: { is: 'value', type: 'boolean', value: true },
    },
  }),
  element('box', 'Box', { tag: 'div' }),
  element('section', 'Section', { tag: 'section' }),
  element('list', 'List', {
    tag: 'ul',
    children: [
      { tag: 'li', text: 'First' },
      { tag: 'li', text: 'Second' },
    ],
  }),
  element('table', 'Table', {
    tag: 'table',
    children: [
      {
        tag: 'thead',
        children: [
          { tag: 'tr', children: [columnHead('First column'), columnHead('Second column')] },
        ],
      },
      {
        tag: 'tbody',
        children: [
          {
            tag: 'tr',
            children: [
              { tag: 'td', text: 'One' },
              { tag: 'td', text: 'Two' },
            ],
          },
          {
            tag: 'tr',
            children: [
              { tag: 'td', text: 'Three' },
              { tag: 'td', text: 'Four' },
            ],
          },
        ],
      },
    ],
  }),
  element('element-quote', 'Block quote', {
    tag: 'blockquote',
    children: [{ tag: 'p', text: 'What somebody said.' }],
  }),
  element('element-divider', 'Divider', { tag: 'hr' }),
  element('element-fold', 'Fold', {
    tag: 'details',
    children: [
      { tag: 'summary', text: 'What is always seen' },
      { tag: 'p', text: 'What is seen when it is open.' },
    ],
  }),
  element('element-field', 'Field of a form', {
    tag: 'label',
    children: [{ text: 'Your name ' }, { tag: 'input', attributes: { type: text('text') } }],
  }),
  element('choice', 'Choice of a form', {
    tag: 'label',
    children: [
      { text: 'Choose one ' },
      {
        tag: 'select',
        children: [
          { tag: 'option', text: 'First' },
          { tag: 'option', text: 'Second' },
        ],
      },
    ],
  }),
];

function columnHead(words: string): Branch {
  return { tag: 'th', attributes: { scope: text('col') }, text: words };
}

function element(key: string, label: string, branch: Branch): Starter {
  return {
    key,
    label,
    folder: 'Elements',
    also: own(WORDS_FOR, key) ?? [],
    make: () => ({ branch, styles: [], components: [] }),
  };
}
