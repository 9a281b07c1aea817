import { referring, text, yesNo } from '../../model';
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

const SLIDES = listOf({ heading: ['Heading', 'text'], words: ['Words', 'rich'] });

/**
 * Slides of which one is shown (Authoring Practices, carousel pattern, grouped): buttons, dots and swiping; by itself where that is
 * said, until somebody stops it, is at it, or asks for less motion.
 */
export const CAROUSEL: Behaving = {
  key: 'ready-carousel',
  label: 'Carousel',
  make(id, styles) {
    const [all, dots, slides] = ['all', 'dots', 'slides'].map((each) => `${id}-${each}`) as [
      string,
      string,
      string,
    ];
    const isShown = (repeat: string) => workedOut('n0 == n1', held('now'), numberIn(repeat));
    const named = (repeat: string) =>
      workedOut('string(n0) + ": " + n1', numberIn(repeat), ofItem(repeat, 'heading'));
    const button = styled({
      'min-width': '44px',
      'min-height': '44px',
      padding: '0 0.75rem',
      'font-family': 'inherit',
      'font-size': 'inherit',
      'background-color': 'transparent',
      color: 'inherit',
      border: '1px solid currentColor',
      'border-radius': '4px',
      cursor: 'pointer',
    });
    const goes = (way: 'next' | 'before') => inTurn(set('now', way));
    const step = (name: string, sign: string, way: 'next' | 'before') => ({
      tag: 'button',
      name,
      attributes: {
        type: text('button'),
        'aria-label': text(name),
        'aria-controls': text(referring(all)),
      },
      style: button,
      whens: when(['press', goes(way)]),
      children: [{ text: sign }],
    });
    return writtenComponent(
      id,
      `${READY_FOLDER}/Carousel`,
      {
        tag: 'section',
        name: 'Carousel',
        attributes: { 'aria-roledescription': text('carousel'), 'aria-label': held('about') },
        shared: styles.on('Wide', 'Section room', 'Stack'),
        whens: {
          ...when([{ way: 'left' }, goes('next')], [{ way: 'right' }, goes('before')]),
          'by-itself': {
            order: 'a9',
            on: 'time',
            seconds: 6,
            acts: {
              on: {
                order: 'a0',
                do: 'set',
                state: held('now'),
                to: 'next',
                if: held('moves'),
              },
            },
          },
        },
        children: [
          {
            tag: 'div',
            name: 'Buttons',
            style: styled({
              display: 'flex',
              'flex-wrap': 'wrap',
              gap: '0.5rem',
              'align-items': 'center',
            }),
            children: [
              {
                tag: 'button',
                name: 'Pause',
                attributes: { type: text('button') },
                style: button,
                whens: when([
                  'press',
                  inTurn(set('moves', { value: workedOut('!n0', held('moves')) })),
                ]),
                children: [{ text: workedOut('n0 ? "Pause" : "Play"', held('moves')) }],
              },
              step('Previous slide', '‹', 'before'),
              step('Next slide', '›', 'next'),
              {
                tag: 'div',
                name: 'Dots',
                attributes: { role: text('group'), 'aria-label': text('Slides') },
                style: styled({ display: 'flex', gap: '0.25rem' }),
                children: [
                  {
                    id: dots,
                    repeat: { from: { list: held('slides') }, where: {}, order: {} },
                    children: [
                      {
                        tag: 'button',
                        name: 'Dot',
                        attributes: {
                          type: text('button'),
                          'aria-label': named(dots),
                          'aria-disabled': isShown(dots),
                        },
                        style: {
                          ...button,
                          'border-bottom-width': declaredBy(
                            'calc(1px + var(--it)*4px)',
                            isShown(dots),
                          ),
                        },
                        whens: when(['press', inTurn(set('now', { value: numberIn(dots) }))]),
                        children: [{ text: numberIn(dots) }],
                      },
                    ],
                  },
                ],
              },
            ],
          },
          {
            id: all,
            tag: 'div',
            name: 'Slides',
            attributes: {
              id: text(referring(all)),
              'aria-live': workedOut('n0 ? "off" : "polite"', held('moves')),
            },
            children: [
              {
                id: slides,
                repeat: { from: { list: held('slides') }, where: {}, order: {} },
                children: [
                  {
                    tag: 'div',
                    name: 'Slide',
                    attributes: {
                      role: text('group'),
                      'aria-roledescription': text('slide'),
                      'aria-label': named(slides),
                    },
                    shared: styles.on('Framed'),
                    shown: isShown(slides),
                    children: [
                      { tag: 'h3', name: 'Heading', text: ofItem(slides, 'heading') },
                      {
                        tag: 'div',
                        name: 'Words',
                        children: [{ text: ofItem(slides, 'words'), rich: 'blocks' }],
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
        about: { label: 'What it is about', byDefault: text('What is on') },
        slides: {
          label: 'Slides',
          type: SLIDES,
          byDefault: records(
            SLIDES,
            ['The first', 'What is said of the first.'],
            ['The second', 'What is said of the second.'],
            ['The third', 'What is said of the third.'],
          ),
        },
        now: { label: 'Now', byDefault: number(1), state: { among: slides, round: true } },
        moves: { label: 'Moves by itself', byDefault: yesNo(false), state: {} },
      },
    );
  },
};
