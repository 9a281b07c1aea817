import { referring, text } from '../../model';
import { writtenComponent } from '../written-component';
import { READY_FOLDER, type Behaving } from './behaving';
import {
  declaredBy,
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

const PARTS = listOf({ label: ['Label', 'text'], words: ['Words', 'rich'] });

/** Parts of which one is shown (Authoring Practices, tabs pattern: automatic activation). Without a script all of them are. */
export const TABS: Behaving = {
  key: 'ready-tabs',
  label: 'Tabs',
  make(id, styles) {
    const [list, tabs, tab, panels, panel] = ['list', 'tabs', 'tab', 'panels', 'panel'].map(
      (each) => `${id}-${each}`,
    ) as [string, string, string, string, string];
    const isShown = (repeat: string) => workedOut('n0 == n1', held('shown'), numberIn(repeat));
    const moved = (...acts: ReturnType<typeof set>[]) =>
      inTurn(...acts, { do: 'focus', node: tab });
    return writtenComponent(
      id,
      `${READY_FOLDER}/Tabs`,
      {
        tag: 'div',
        name: 'Tabs',
        shared: styles.on('Wide', 'Section room', 'Stack'),
        children: [
          {
            id: list,
            tag: 'div',
            name: 'Labels',
            attributes: { role: text('tablist'), 'aria-label': held('about') },
            style: styled({ display: 'flex', 'flex-wrap': 'wrap', gap: '0.25rem' }),
            whens: when(
              [{ key: 'ArrowRight' }, moved(set('shown', 'next'))],
              [{ key: 'ArrowLeft' }, moved(set('shown', 'before'))],
              [{ key: 'Home' }, moved(set('shown', { value: number(1) }))],
              [{ key: 'End' }, moved(set('shown', { value: number(1) }), set('shown', 'before'))],
            ),
            children: [
              {
                id: tabs,
                repeat: { from: { list: held('parts') }, where: {}, order: {} },
                children: [
                  {
                    id: tab,
                    tag: 'button',
                    name: 'Label',
                    attributes: {
                      type: text('button'),
                      role: text('tab'),
                      id: text(referring(tab)),
                      'aria-selected': isShown(tabs),
                      'aria-controls': text(referring(panel)),
                      tabindex: workedOut('n0 == n1 ? 0 : -1', held('shown'), numberIn(tabs)),
                    },
                    style: {
                      ...styled({
                        padding: '0.6rem 1rem',
                        'min-height': '44px',
                        'font-family': 'inherit',
                        'font-size': 'inherit',
                        'background-color': 'transparent',
                        color: 'inherit',
                        border: '0',
                        'border-bottom-style': 'solid',
                        cursor: 'pointer',
                      }),
                      'border-bottom-width': declaredBy('calc(var(--it)*3px)', isShown(tabs)),
                    },
                    whens: when(['press', inTurn(set('shown', { value: numberIn(tabs) }))]),
                    children: [{ text: ofItem(tabs, 'label') }],
                  },
                ],
              },
            ],
          },
          {
            id: panels,
            repeat: { from: { list: held('parts') }, where: {}, order: {} },
            children: [
              {
                id: panel,
                tag: 'div',
                name: 'Part',
                attributes: {
                  role: text('tabpanel'),
                  id: text(referring(panel)),
                  'aria-labelledby': text(referring(tab)),
                  tabindex: number(0),
                },
                shown: isShown(panels),
                children: [{ text: ofItem(panels, 'words'), rich: 'blocks' }],
              },
            ],
          },
        ],
      },
      {
        about: { label: 'What they are about', byDefault: text('Parts') },
        parts: {
          label: 'Parts',
          type: PARTS,
          byDefault: records(
            PARTS,
            ['First', 'What stands in the first part.'],
            ['Second', 'What stands in the second part.'],
            ['Third', 'What stands in the third part.'],
          ),
        },
        shown: {
          label: 'Shown',
          byDefault: number(1),
          state: { among: tabs, round: true },
        },
      },
    );
  },
};
