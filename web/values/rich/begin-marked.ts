import type { Editor } from '@tiptap/react';
import { askIn } from './extensions';
import type { Marked } from './marking';

/**
 * Gives words what a key asked for while their text was plain still: marked again as they were.
 * @param first where the first character stands in the editor
 */
export function beginMarked(editor: Editor, { by, from, to }: Marked, first: number): void {
  const chain = editor.chain().setTextSelection({ from: first + from, to: first + to });
  if (by === 'bold') chain.toggleBold().run();
  else if (by === 'italic') chain.toggleItalic().run();
  else {
    chain.run();
    askIn(editor, by);
  }
}
