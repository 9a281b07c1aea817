import { Extension } from '@tiptap/react';
import { Plugin, TextSelection } from '@tiptap/pm/state';
import type { EditorView } from '@tiptap/pm/view';

/**
 * Before each key the editor takes what is selected from the browser. That tells of a selection in a task of its own
 * (Selection API, 4.8), which comes after keys that are pressed already: whoever marks words by one key and presses the
 * next at once would mean words that the editor does not know to be marked.
 */
export const SelectionAsShown = Extension.create({
  name: 'selectionAsShown',
  addProseMirrorPlugins: () => [
    new Plugin({
      props: {
        handleDOMEvents: {
          keydown(view, event) {
            if (!event.isComposing) takeSelection(view);
            return false;
          },
        },
      },
    }),
  ],
});

function takeSelection(view: EditorView): void {
  const shown = view.dom.ownerDocument.getSelection();
  const { anchorNode, focusNode } = shown ?? {};
  if (!shown || !anchorNode || !focusNode) return;
  if (!view.dom.contains(anchorNode) || !view.dom.contains(focusNode)) return;
  const { selection, doc, tr } = view.state;
  if (!(selection instanceof TextSelection)) return;
  const anchor = view.posAtDOM(anchorNode, shown.anchorOffset);
  const head = view.posAtDOM(focusNode, shown.focusOffset);
  if (anchor === selection.anchor && head === selection.head) return;
  view.dispatch(tr.setSelection(TextSelection.between(doc.resolve(anchor), doc.resolve(head))));
}
