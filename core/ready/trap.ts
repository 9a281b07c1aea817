import { literal, text, yesNo } from '../model';
import type { Branch } from './branches';

/**
 * A field that nobody sees, nor hears: who fills it in is a robot (common practice, no published source).
 * @param look what has it be out of sight
 */
export function trap(look: Pick<Branch, 'shared' | 'style'>): Branch {
  return {
    tag: 'label',
    name: 'Trap for robots',
    ...look,
    children: [
      { tag: 'span', text: 'Leave this empty' },
      {
        tag: 'input',
        name: 'Left empty',
        attributes: {
          type: text('text'),
          name: text('leave'),
          trap: yesNo(true),
          autocomplete: text('off'),
          tabindex: literal({ type: 'number', value: -1 }),
        },
      },
    ],
  };
}
