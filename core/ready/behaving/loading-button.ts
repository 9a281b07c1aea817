import { literal, text, yesNo } from '../../model';
import { writtenComponent } from '../written-component';
import { READY_FOLDER, type Behaving } from './behaving';
import { held, inTurn, set, styled, when, workedOut } from './saying';

/** A button that waits while it does what it is given, and is free again afterwards, also where that failed. */
export const LOADING_BUTTON: Behaving = {
  key: 'ready-loading-button',
  label: 'Loading button',
  make: (id, styles) =>
    writtenComponent(
      id,
      `${READY_FOLDER}/Loading button`,
      {
        tag: 'button',
        name: 'Button',
        attributes: { type: text('button'), 'aria-disabled': held('waits') },
        shared: styles.on('Main look', 'Usual size'),
        style: styled({ gap: '0.5rem' }),
        whens: when([
          'press',
          {
            ...inTurn(
              { ...set('waits', true) },
              { do: 'action', action: held('does'), failing: inTurn(set('waits', false)) },
              set('waits', false),
            ),
          },
        ]),
        children: [
          {
            tag: 'span',
            name: 'Spinner',
            attributes: { 'aria-hidden': text('true') },
            style: styled({ display: 'inline-block' }),
            shown: held('waits'),
            children: [{ text: '…' }],
          },
          {
            tag: 'span',
            name: 'Words',
            children: [
              { text: workedOut('n0 ? n1 : n2', held('waits'), held('waiting'), held('label')) },
            ],
          },
        ],
      },
      {
        label: { label: 'Label', byDefault: text('Do it') },
        waiting: { label: 'Words while it waits', byDefault: text('One moment') },
        does: {
          label: 'What it does',
          byDefault: literal({ type: 'action', value: null } as never),
        },
        waits: { label: 'Waits', byDefault: yesNo(false), state: {} },
      },
    ),
};
