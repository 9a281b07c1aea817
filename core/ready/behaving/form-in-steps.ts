import { text, yesNo } from '../../model';
import type { Branch } from '../branches';
import { trap } from '../trap';
import type { ReadyStyles } from '../ready-styles';
import { writtenComponent } from '../written-component';
import { READY_FOLDER, type Behaving } from './behaving';
import { held, inTurn, number, set, when, workedOut } from './saying';

const yes = yesNo(true);

/** A form in three steps: who goes on is told what is missing in this one. Without a script all stand below each other. */
export const FORM_IN_STEPS: Behaving = {
  key: 'ready-form-in-steps',
  label: 'Form in steps',
  make(id, styles) {
    const step = (n: number) => `${id}-step-${n}`;
    const field = fieldWith(styles);
    const goes = (words: string, acts: ReturnType<typeof inTurn>): Branch => ({
      tag: 'button',
      name: words,
      attributes: { type: text('button') },
      shared: styles.on('Main look', 'Usual size'),
      whens: when(['press', acts]),
      children: [{ text: words }],
    });
    const on = (n: number) =>
      goes(
        'Next',
        inTurn({ do: 'check', node: step(n) }, set('step', 'next'), {
          do: 'focus',
          node: step(n + 1),
        }),
      );
    const back = (n: number) =>
      goes('Back', inTurn(set('step', 'before'), { do: 'focus', node: step(n - 1) }));
    const part = (n: number, legend: string, ...children: Branch[]): Branch => ({
      id: step(n),
      tag: 'fieldset',
      name: `Step ${n}`,
      attributes: { tabindex: number(-1) },
      shared: styles.on('Stack'),
      shown: workedOut('n0 == n1', held('step'), number(n)),
      children: [{ tag: 'legend', text: legend }, ...children],
    });
    return writtenComponent(
      id,
      `${READY_FOLDER}/Form in steps`,
      {
        tag: 'form',
        name: 'Form in steps',
        attributes: {
          sends: yes,
          afterwards: held('afterwards'),
          'aria-label': held('about'),
        },
        shared: styles.on('Wide', 'Section room', 'Stack'),
        children: [
          {
            tag: 'progress',
            name: 'How far',
            attributes: { value: held('step'), max: number(3), 'aria-label': text('Steps') },
          },
          part(1, 'Who you are', field('Your name', 'name', 'text'), on(1)),
          part(
            2,
            'How we reach you',
            field('Your address for mail', 'mail', 'email'),
            back(2),
            on(2),
          ),
          part(
            3,
            'What it is about',
            {
              tag: 'label',
              children: [
                { tag: 'span', text: 'Your words' },
                {
                  tag: 'textarea',
                  name: 'Words',
                  attributes: { name: text('words'), required: yes },
                  shared: styles.on('Field'),
                },
              ],
            },
            back(3),
            {
              tag: 'button',
              name: 'Send',
              attributes: { type: text('submit') },
              shared: styles.on('Main look', 'Usual size'),
              text: 'Send it',
            },
          ),
          trap({ shared: styles.on('Out of sight') }),
        ],
      },
      {
        about: { label: 'What it is about', byDefault: text('Write to us') },
        afterwards: {
          label: 'Words afterwards',
          byDefault: text('Thank you. We shall write back soon.'),
        },
        step: {
          label: 'Step',
          byDefault: number(1),
          type: { kind: 'number', least: 1, most: 3 },
          state: {},
        },
      },
    );
  },
};

function fieldWith(styles: ReadyStyles) {
  return (label: string, name: string, type: string): Branch => ({
    tag: 'label',
    children: [
      { tag: 'span', text: label },
      {
        tag: 'input',
        name: label,
        attributes: { type: text(type), name: text(name), required: yes },
        shared: styles.on('Field'),
      },
    ],
  });
}
