import type { KeyboardEvent as ReactKeyboardEvent } from 'react';

/** What words can be given by a key, in plain text as in rich: emphasis of two kinds, a link, a shared style. */
export type Marking = 'bold' | 'italic' | 'link' | 'style';

/** What was marked in a plain text when such a key was pressed, in characters from its beginning. */
export interface Marked {
  readonly by: Marking;
  readonly from: number;
  readonly to: number;
}

/** What a key gives to words, where it gives something. */
export function markingOf(
  event: Pick<
    KeyboardEvent | ReactKeyboardEvent,
    'key' | 'ctrlKey' | 'metaKey' | 'altKey' | 'shiftKey'
  >,
): Marking | undefined {
  if (!(event.ctrlKey || event.metaKey) || event.shiftKey) return undefined;
  const key = event.key.toLowerCase();
  if (event.altKey) return key === 's' ? 'style' : undefined;
  return key === 'b' ? 'bold' : key === 'i' ? 'italic' : key === 'k' ? 'link' : undefined;
}

/** What is said when a plain text has become rich by such a key. */
export const NOW_RICH =
  'This text is rich from now on: it holds emphasis, links and shared styles. Undo makes it plain again.';

/** What is said where words stay plain. */
export const STAYS_PLAIN =
  'These words are plain: there is no emphasis, link or style in them. Texts on the page can be rich, and fields of rich text.';
