import { text, yesNo } from '../../model';
import { writtenComponent } from '../written-component';
import { READY_FOLDER, type Behaving } from './behaving';
import {
  held,
  inTurn,
  listOf,
  number,
  numberIn,
  ofItem,
  records,
  set,
  styled,
  when,
  workedOut,
} from './saying';

const LINES = listOf({ words: ['Words', 'text'] });

/** A list of which at first only some is seen (Authoring Practices, disclosure pattern). Without a script all of it is. */
export const SHOW_MORE: Behaving = {
  key: 'ready-show-more',
  label: 'Show more',
  make(id, styles) {
    const each = `${id}-each`;
    return writtenComponent(
      id,
      `${READY_FOLDER}/Show more`,
      {
        tag: 'div',
        name: 'Show more',
        shared: styles.on('Wide', 'Section room', 'Stack'),
        children: [
          {
            tag: 'ul',
            name: 'List',
            children: [
              {
                id: each,
                repeat: { from: { list: held('lines') }, where: {}, order: {} },
                children: [
                  {
                    tag: 'li',
                    name: 'Line',
                    shown: workedOut('n0 || n1 <= n2', held('all'), numberIn(each), held('few')),
                    children: [{ text: ofItem(each, 'words') }],
                  },
                ],
              },
            ],
          },
          {
            tag: 'div',
            children: [
              {
                tag: 'button',
                name: 'Button',
                attributes: { type: text('button'), 'aria-expanded': held('all') },
                shared: styles.on('Main look', 'Usual size'),
                style: styled({ display: 'inline-flex' }),
                whens: when(['press', inTurn(set('all', 'other'))]),
                children: [
                  { text: workedOut('n0 ? n1 : n2', held('all'), held('less'), held('more')) },
                ],
              },
            ],
          },
        ],
      },
      {
        lines: {
          label: 'Lines',
          type: LINES,
          byDefault: records(
            LINES,
            ['The first'],
            ['The second'],
            ['The third'],
            ['The fourth'],
            ['The fifth'],
          ),
        },
        few: { label: 'How many at first', byDefault: number(3) },
        more: { label: 'Button', byDefault: text('Show more') },
        less: { label: 'Button when all are shown', byDefault: text('Show less') },
        all: { label: 'All are shown', byDefault: yesNo(false), state: {} },
      },
    );
  },
};
