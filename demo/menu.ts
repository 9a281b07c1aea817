import {
  literal,
  ordersFor,
  referring,
  text,
  type Acts,
  type Literal,
  type Source,
  type TypeSpec,
} from '@sormet/core/model';
import { property, toPage } from './sources';
import { styled } from './styled';
import { component, on } from './written-component';

const orders = ordersFor(2);
const IS: TypeSpec = {
  kind: 'choice',
  options: {
    'menu-unfolded': { label: 'unfolded', order: orders[0]! },
    'menu-folded': { label: 'folded', order: orders[1]! },
  },
};
const is = (what: 'unfolded' | 'folded'): Literal =>
  literal({ type: 'choice', value: `menu-${what}` });
const sets = (to: Source | 'next'): Acts => ({
  sets: {
    order: 'a0',
    do: 'set',
    state: property('menu-is'),
    to: to === 'next' ? to : { value: to },
  },
});

/**
 * The main pages: beside each other where there is room, on narrow widths behind a button (Authoring Practices, disclosure pattern
 * for navigation). Before a script folds it, it is unfolded: without one nothing is out of reach.
 */
export const menu = component(
  'menu',
  'Fittings/Main menu',
  {
    id: 'menu-nav',
    tag: 'nav',
    name: 'Main navigation',
    attributes: { 'aria-label': text('Main') },
    whens: {
      'menu-begins': { order: 'a0', on: 'begin', acts: sets(is('folded')) },
      'menu-escapes': {
        order: 'a1',
        on: 'key',
        key: 'Escape',
        acts: {
          ...sets(is('folded')),
          focuses: { order: 'a1', do: 'focus', node: 'menu-button' },
        },
      },
    },
    children: [
      {
        id: 'menu-button',
        tag: 'button',
        name: 'Button',
        attributes: {
          type: text('button'),
          'aria-controls': text(referring('menu-list')),
          'aria-expanded': {
            is: 'expression',
            cel: 'n0 == n1',
            names: { n0: property('menu-is'), n1: is('unfolded') },
          },
        },
        style: styled(
          {
            display: 'none',
            'min-height': '2.75rem',
            'padding-inline': '{space 3}',
            border: '1px solid {ink}',
            'border-radius': '{small round}',
            'background-color': 'transparent',
            color: '{ink}',
            'font-family': 'inherit',
            'font-size': 'inherit',
            cursor: 'pointer',
          },
          { w600: { display: 'inline-block' } },
        ),
        whens: { 'menu-presses': { order: 'a0', on: 'press', acts: sets('next') } },
        text: property('menu-words'),
      },
      {
        id: 'menu-list',
        tag: 'ul',
        name: 'Pages',
        attributes: { id: text(referring('menu-list')) },
        shared: on('plain-list'),
        style: styled(
          { display: 'flex', 'flex-wrap': 'wrap', gap: '{space 1} {space 5}' },
          { w600: { 'flex-direction': 'column', 'padding-top': '{space 2}' } },
        ),
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
              shared: on('quiet-link'),
            },
          ],
        })),
      },
    ],
  },
  {
    'menu-words': { label: 'Button', byDefault: text('Menu') },
    'menu-is': { label: 'Is', byDefault: is('unfolded'), type: IS, state: { round: true } },
  },
);
Object.assign(menu.properties['menu-is']!, { axis: true });
menu.rules = {
  'menu-folds': {
    order: 'a0',
    when: { axes: { 'menu-is': 'menu-folded' } },
    patch: { 'menu-list': { style: styled({}, { w600: { display: 'none' } }) } },
  },
};
