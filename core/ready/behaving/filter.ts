import { literal, ordersFor, referring, text, type SpecOf } from '../../model';
import { writtenComponent } from '../written-component';
import { READY_FOLDER, type Behaving } from './behaving';
import { held, inTurn, ofItem, set, styled, when, workedOut } from './saying';

const KINDS = ['First kind', 'Second kind', 'Third kind'] as const;
const ALL = 'All of them';
const orders = ordersFor(KINDS.length + 1);
const option = (i: number) => `kind-${i}`;
const options = (words: readonly string[], from: number): SpecOf<'choice'> => ({
  kind: 'choice',
  options: Object.fromEntries(
    words.map((label, i) => [option(i + from), { label, order: orders[i + from]! }]),
  ),
});

const THINGS: SpecOf<'list'> = {
  kind: 'list',
  fields: {
    words: { label: 'Words', key: 'words', order: orders[0]!, type: { kind: 'text' } },
    kind: { label: 'Kind', key: 'kind', order: orders[1]!, type: options(KINDS, 1) },
  },
};

/** A list of which a choice shows some. Without a script all of it is shown. */
export const FILTER: Behaving = {
  key: 'ready-filter',
  label: 'Filter over a list',
  make(id, styles) {
    const [each, field] = [`${id}-each`, `${id}-field`];
    const things = ['One thing', 'Another thing', 'A third thing', 'A fourth thing'];
    return writtenComponent(
      id,
      `${READY_FOLDER}/Filter over a list`,
      {
        tag: 'div',
        name: 'Filter over a list',
        shared: styles.on('Wide', 'Section room', 'Stack'),
        children: [
          {
            tag: 'label',
            name: 'Filter',
            children: [
              { tag: 'span', text: held('label') },
              {
                id: field,
                tag: 'select',
                name: 'Kind',
                attributes: { 'aria-controls': text(referring(`${id}-list`)) },
                shared: styles.on('Field'),
                whens: when(['change', inTurn(set('kind', { field }))]),
                children: [ALL, ...KINDS].map((words) => ({ tag: 'option', text: words })),
              },
            ],
          },
          {
            id: `${id}-list`,
            tag: 'ul',
            name: 'List',
            attributes: { id: text(referring(`${id}-list`)), 'aria-live': text('polite') },
            style: styled({ 'min-height': '3rem' }),
            children: [
              {
                id: each,
                repeat: { from: { list: held('things') }, where: {}, order: {} },
                children: [
                  {
                    tag: 'li',
                    name: 'Thing',
                    shown: workedOut(
                      'n0 == n1 || n0 == n2',
                      held('kind'),
                      literal({ type: 'choice', value: option(0) }),
                      ofItem(each, 'kind'),
                    ),
                    text: ofItem(each, 'words'),
                  },
                ],
              },
            ],
          },
        ],
      },
      {
        label: { label: 'Label', byDefault: text('Show') },
        things: {
          label: 'Things',
          type: THINGS,
          byDefault: {
            is: 'value',
            type: 'list',
            value: things.map((words, i) => ({
              id: `record-${i + 1}`,
              values: {
                words: { type: 'text', value: words },
                kind: { type: 'choice', value: option((i % KINDS.length) + 1) },
              },
            })),
          },
        },
        kind: {
          label: 'Kind',
          type: options([ALL, ...KINDS], 0),
          byDefault: literal({ type: 'choice', value: option(0) }),
          state: {},
        },
      },
    );
  },
};
