import { useCallback, useEffect, useRef, useState, type RefObject } from 'react';
import { useStore } from 'react-redux';
import { literal, newId, nodeIn, type Documents, type RichPiece } from '@sormet/core/model';
import { propertyOf } from '@sormet/core/edit';
import { sourceAt } from '@sormet/core/resolve';
import { useLatest } from '../parts/use-latest';
import { useApp, type AppStore } from '../store/store';
import { useSync } from '../site/SiteProvider';
import type { Marked } from '../values/rich/marking';
import type { RichSession } from './rich-session';
import { valueEdit, type TypedTarget } from './value-edit';

type RichTarget = TypedTarget & { readonly rich: NonNullable<TypedTarget['rich']> };

/** What edits rich text is large: it is loaded apart, and before it is needed. */
const loaded = () => import('./rich-session');

/**
 * Typing into rich text where it stands, with the keys it has in the ledger: every change is an edit, what is typed in
 * one go is one step.
 * @param onEnd told when it is over, to write what stands there anew
 */
export function useRichTyping({
  frame,
  onEnd,
}: {
  frame: RefObject<HTMLIFrameElement | null>;
  onEnd: (element: HTMLElement) => void;
}): {
  typing: RichSession | null;
  /**
   * @param begin with all marked, so that what is typed first takes its place; else with what was marked while it was
   * plain, given what was asked for
   */
  start: (element: HTMLElement, target: RichTarget, begin: 'all' | 'as it is' | Marked) => void;
} {
  const sync = useSync();
  const store = useStore() as AppStore;
  const documents = useApp((state) => state.site.documents);
  const latest = useLatest(documents);
  const [typing, setTyping] = useState<{ session: RichSession; target: RichTarget } | null>(null);
  const open = useRef<RichSession | null>(null);
  const ended = useLatest(onEnd);

  const start = useCallback(
    (element: HTMLElement, target: RichTarget, begin: 'all' | 'as it is' | Marked) => {
      const group = `type ${newId()}`;
      void loaded().then(({ beginRich }) => {
        open.current?.end();
        // What was double-clicked may be gone by the time that it is loaded.
        if (!element.isConnected) return;
        const session = beginRich(
          element,
          target.rich,
          (value) =>
            sync.edit(valueEdit(latest.current, target, literal({ type: 'rich', value })), {
              group,
            }),
          () => {
            open.current = null;
            setTyping(null);
            ended.current(element);
            // Whoever went on to something else stays there.
            const { activeElement } = document;
            if (
              activeElement === null ||
              activeElement === document.body ||
              activeElement === frame.current
            )
              frame.current?.parentElement
                ?.querySelector<HTMLElement>('.canvas-over')
                ?.focus({ preventScroll: true });
          },
        );
        open.current = session;
        frame.current?.contentWindow?.focus();
        const { editor } = session;
        // A long text is gone on with; a line, and what was just placed, is written anew.
        if (typeof begin === 'object') session.mark(begin);
        else if (begin === 'all' || session.line) editor.commands.selectAll();
        else editor.commands.setTextSelection(editor.state.doc.content.size);
        editor.view.focus();
        setTyping({ session, target });
      });
    },
    [sync, frame, latest, ended],
  );

  // Somebody else, or a step back, has changed it: what is shown follows. What was typed since this was drawn counts.
  useEffect(() => {
    const now = store.getState().site.documents;
    const stored = typing && storedPieces(now, typing.target);
    if (stored) typing.session.follow(stored);
  }, [documents, store, typing]);
  useEffect(() => {
    void loaded();
    return () => open.current?.end();
  }, []);
  return { typing: typing?.session ?? null, start };
}

/** The rich text that stands where typing writes; nothing where something else stands there. */
function storedPieces(
  documents: Documents,
  { doc, node, control }: RichTarget,
): readonly RichPiece[] | undefined {
  const stored = nodeIn(documents, doc, node);
  const source = stored && sourceAt(stored, control);
  const held =
    source?.is === 'property' ? propertyOf(documents, doc, source.property)?.default : source;
  return held?.is === 'value' && held.type === 'rich' ? (held.value ?? []) : undefined;
}
