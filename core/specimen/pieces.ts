import { blockOf } from '../style';
import type { Branch } from '../ready';

/** The words above a part of the specimen. */
export function caption(words: string): Branch {
  return {
    tag: 'p',
    text: words,
    style: blockOf({
      'font-family': 'sans-serif',
      'font-size': '12px',
      'line-height': '16px',
      'font-weight': '700',
      'margin-top': '28px',
      'margin-bottom': '10px',
      'max-width': 'none',
      opacity: '0.7',
    }),
  };
}

/** Several beside each other. */
export function row(...children: Branch[]): Branch {
  return {
    tag: 'div',
    style: blockOf({
      display: 'flex',
      'flex-wrap': 'wrap',
      'align-items': 'flex-end',
      gap: '14px 18px',
    }),
    children,
  };
}
