import { mergeAttributes, Node } from '@tiptap/react';
import type { Format } from '@sormet/core/model';
import { PLACE } from '../rich/rich-json';

/** A place of a value in the editor: one thing among the words, that is walked over and taken away as a letter is. */
export interface PlaceAttributes {
  readonly name: string;
  readonly format: Format | null;
}

/**
 * The place of a value among words, for the editor.
 * @param shown what stands in it: what it is called, and what it holds now
 */
export function placeNode(shown: (place: PlaceAttributes) => { label: string; holds: string }) {
  return Node.create({
    name: PLACE,
    group: 'inline',
    inline: true,
    atom: true,
    selectable: true,
    addAttributes: () => ({ name: { default: '' }, format: { default: null } }),
    renderHTML({ node, HTMLAttributes }) {
      const { label, holds } = shown(node.attrs as PlaceAttributes);
      return [
        'span',
        mergeAttributes(HTMLAttributes, {
          class: 'value-place',
          role: 'button',
          title: `${label}: ${holds}. Press it, or Enter, for how it is written.`,
          name: null,
          format: null,
        }),
        label,
      ];
    },
    renderText: ({ node }) => `{${shown(node.attrs as PlaceAttributes).label}}`,
  });
}
