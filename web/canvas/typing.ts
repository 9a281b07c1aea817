import { useCallback, useEffect, useRef, useState, type RefObject } from 'react';
import { text } from '@sormet/core/model';
import { useLatest } from '../parts/use-latest';
import { useApp } from '../store/store';
import { useSync } from '../site/SiteProvider';
import { markingOf, type Marked } from '../values/rich/marking';
import { WordSteps } from '../values/word-steps';
import { valueEdit, type TypedTarget } from './value-edit';

/** Typing into a text where it stands: every key is an edit, a word is a step. */
export function useTyping({
  frame,
  onEnd,
  onFull,
  onMarked,
  onPlace,
}: {
  frame: RefObject<HTMLIFrameElement | null>;
  onEnd: (element: HTMLElement) => void;
  /** Told when more was typed than may stand there, with how many characters may. */
  onFull: (longest: number) => void;
  /** Told of what should have emphasis, a link or a style; typing has ended by then. */
  onMarked: (element: HTMLElement, target: TypedTarget, marked: Marked) => void;
  /** Told of a brace, behind how many characters: a value may stand there; typing has ended by then. */
  onPlace: (target: TypedTarget, at: number) => void;
}): {
  active: boolean;
  start: (element: HTMLElement, target: TypedTarget) => void;
} {
  const sync = useSync();
  const documents = useApp((state) => state.site.documents);
  const latest = useLatest(documents);
  const [active, setActive] = useState(false);
  const stop = useRef<(() => void) | null>(null);

  const start = useCallback(
    (element: HTMLElement, target: TypedTarget) => {
      stop.current?.();
      const steps = new WordSteps(element.textContent ?? '');
      const stretch = `${target.doc} ${target.node} ${Date.now()}`;
      const onInput = () => {
        const typed = (element.textContent ?? '').replace(/\s*\n\s*/g, ' ');
        const group = `${stretch} ${steps.after(typed)}`;
        sync.edit(valueEdit(latest.current, target, text(typed)), { group });
      };
      // What is longer than its property takes would show nowhere: it is not taken in, and nothing that stands there is lost.
      const onBefore = (event: InputEvent) => {
        const { longest } = target;
        const typed = event.data ?? event.dataTransfer?.getData('text/plain') ?? '';
        if (longest === undefined || !event.inputType.startsWith('insert')) return;
        const chosen = element.ownerDocument.getSelection()?.toString().length ?? 0;
        if ((element.textContent ?? '').length - chosen + typed.length <= longest) return;
        event.preventDefault();
        onFull(longest);
      };
      const onKey = (event: KeyboardEvent) => {
        const by = markingOf(event);
        if (by) {
          event.preventDefault();
          const { from, to } = selectedIn(element);
          end();
          onMarked(element, target, { by, from, to });
          return;
        }
        if (event.key === '{') {
          event.preventDefault();
          const { from } = selectedIn(element);
          end();
          onPlace(target, from);
          return;
        }
        if (event.key === 'Escape' || (event.key === 'Enter' && !event.shiftKey)) {
          event.preventDefault();
          element.blur();
        }
        if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'z') {
          event.preventDefault();
          if (event.shiftKey) sync.redo();
          else sync.undo();
        }
      };
      const end = () => {
        element.removeEventListener('beforeinput', onBefore);
        element.removeEventListener('input', onInput);
        element.removeEventListener('keydown', onKey);
        element.removeEventListener('blur', end);
        element.removeAttribute('contenteditable');
        // What a browser leaves in an emptied element (a line break) is not part of the text.
        if (element.textContent === '') element.replaceChildren();
        element.ownerDocument.getSelection()?.removeAllRanges();
        stop.current = null;
        setActive(false);
        onEnd(element);
        frame.current?.parentElement
          ?.querySelector<HTMLElement>('.canvas-over')
          ?.focus({ preventScroll: true });
      };
      stop.current = end;
      element.setAttribute('contenteditable', 'plaintext-only');
      element.addEventListener('beforeinput', onBefore);
      element.addEventListener('input', onInput);
      element.addEventListener('keydown', onKey);
      frame.current?.contentWindow?.focus();
      element.focus();
      element.addEventListener('blur', end);
      const range = element.ownerDocument.createRange();
      range.selectNodeContents(element);
      const selection = element.ownerDocument.getSelection();
      selection?.removeAllRanges();
      selection?.addRange(range);
      setActive(true);
    },
    [sync, frame, latest, onEnd, onFull, onMarked, onPlace],
  );

  useEffect(() => () => stop.current?.(), []);
  return { active, start };
}

/** What is marked in an element that holds words alone, in characters from its beginning. */
function selectedIn(element: HTMLElement): { readonly from: number; readonly to: number } {
  const selection = element.ownerDocument.getSelection();
  if (!selection || selection.rangeCount === 0) return { from: 0, to: 0 };
  const range = selection.getRangeAt(0);
  const before = element.ownerDocument.createRange();
  before.selectNodeContents(element);
  before.setEnd(range.startContainer, range.startOffset);
  const from = before.toString().length;
  return { from, to: from + range.toString().length };
}
