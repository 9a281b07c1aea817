import { referring, text, yesNo } from '../../model';
import { writtenComponent } from '../written-component';
import { READY_FOLDER, type Behaving } from './behaving';
import { held, inTurn, listOf, ofItem, records, set, styled, when } from './saying';

const LINKS = listOf({ label: ['Label', 'text'], to: ['Where to', 'link'] });

/** Links that a button unfolds (Authoring Practices, disclosure pattern for navigation). Without a script they are there. */
export const MENU: Behaving = {
  key: 'ready-menu',
  label: 'Menu that opens',
  make(id, styles) {
    const [button, list, each] = ['button', 'list', 'each'].map((part) => `${id}-${part}`) as [
      string,
      string,
      string,
    ];
    return writtenComponent(
      id,
      `${READY_FOLDER}/Menu that opens`,
      {
        tag: 'nav',
        name: 'Menu',
        attributes: { 'aria-label': held('about') },
        whens: when([{ key: 'Escape' }, inTurn(set('open', false), { do: 'focus', node: button })]),
        children: [
          {
            id: button,
            tag: 'button',
            name: 'Button',
            attributes: { type: text('button'), 'aria-controls': text(referring(list)) },
            shared: styles.on('Main look', 'Usual size'),
            whens: when(['press', inTurn(set('open', 'other'))]),
            children: [{ text: held('label') }],
          },
          {
            id: list,
            tag: 'ul',
            name: 'Links',
            attributes: { id: text(referring(list)) },
            shared: styles.on('Plain list'),
            style: styled({ padding: '0.5rem 0' }),
            shown: held('open'),
            children: [
              {
                id: each,
                repeat: { from: { list: held('links') }, where: {}, order: {} },
                children: [
                  {
                    tag: 'li',
                    name: 'Item',
                    children: [
                      {
                        tag: 'a',
                        name: 'Link',
                        attributes: { href: ofItem(each, 'to') },
                        style: styled({ display: 'block', padding: '0.6rem 0' }),
                        text: ofItem(each, 'label'),
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
        about: { label: 'What it is about', byDefault: text('More pages') },
        label: { label: 'Button', byDefault: text('Menu') },
        links: {
          label: 'Links',
          type: LINKS,
          byDefault: records(
            LINKS,
            ['Home', '/'],
            ['About us', '/about'],
            ['Write to us', '/contact'],
          ),
        },
        open: { label: 'Open', byDefault: yesNo(false), state: {} },
      },
    );
  },
};
