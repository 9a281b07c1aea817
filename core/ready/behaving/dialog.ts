import { referring, text } from '../../model';
import { writtenComponent } from '../written-component';
import { READY_FOLDER, type Behaving } from './behaving';
import { held } from './saying';

/**
 * A window over the page (Authoring Practices, modal dialog pattern): `dialog`, opened and closed by buttons that name it, without
 * a script (HTML Living Standard, 4.10.6: `command` and `commandfor`).
 */
export const DIALOG: Behaving = {
  key: 'ready-dialog',
  label: 'Dialog',
  make(id, styles) {
    const [dialog, heading] = [`${id}-dialog`, `${id}-heading`];
    const button = (words: string, command: string, label: string) => ({
      tag: 'button',
      name: label,
      attributes: {
        type: text('button'),
        command: text(command),
        commandfor: text(referring(dialog)),
      },
      shared: styles.on('Main look', 'Usual size'),
      children: [{ text: held(words) }],
    });
    return writtenComponent(
      id,
      `${READY_FOLDER}/Dialog`,
      {
        tag: 'div',
        name: 'Dialog',
        children: [
          button('opens', 'show-modal', 'Open'),
          {
            id: dialog,
            tag: 'dialog',
            name: 'Window',
            attributes: {
              id: text(referring(dialog)),
              'aria-labelledby': text(referring(heading)),
            },
            shared: styles.on('Framed'),
            children: [
              {
                id: heading,
                tag: 'h2',
                name: 'Heading',
                attributes: { id: text(referring(heading)) },
                children: [{ text: held('heading') }],
              },
              {
                slot: 'inside',
                children: [{ tag: 'p', text: 'What is said there.' }],
              },
              button('closes', 'close', 'Close'),
            ],
          },
        ],
      },
      {
        opens: { label: 'Button that opens it', byDefault: text('Tell me more') },
        heading: { label: 'Heading', byDefault: text('More of it') },
        closes: { label: 'Button that closes it', byDefault: text('Close') },
      },
      { inside: 'inside' },
    );
  },
};
