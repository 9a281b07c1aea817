import { useCallback, useEffect, useMemo, useRef } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { allOf, type EntryDoc, type TreeDoc } from '@sormet/core/model';
import { useDerived } from '../site/SiteProvider';

/** The entries that a page is made from, by slug, the one that is shown, and going to another. */
export function useEntries(doc: TreeDoc | undefined): {
  readonly entries: readonly EntryDoc[];
  readonly entry: EntryDoc | undefined;
  readonly onEntry: (step: number) => void;
} {
  const { documents } = useDerived();
  const [search] = useSearchParams();
  const navigate = useNavigate();
  const type = doc?.kind === 'page' ? doc.entries : null;
  const entries = useMemo(
    () =>
      allOf(documents, 'entry')
        .filter((entry) => entry.type === type)
        .sort((a, b) => (a.slug < b.slug ? -1 : 1)),
    [documents, type],
  );
  const entry = entries.find(({ id }) => id === search.get('entry')) ?? entries[0];
  // Pressed twice before the first step is drawn, a key steps twice: it goes on from what was asked for last.
  const asked = useRef(entry);
  useEffect(() => {
    asked.current = entry;
  }, [entry]);
  const onEntry = useCallback(
    (step: number) => {
      if (entries.length === 0) return;
      const at = entries.findIndex(({ id }) => id === asked.current?.id);
      const next = entries[(Math.max(at, 0) + step + entries.length) % entries.length]!;
      asked.current = next;
      // What else the address says stays.
      const params = new URLSearchParams(window.location.search);
      params.set('entry', next.id);
      void navigate(
        { search: `?${params.toString()}`, hash: window.location.hash },
        { replace: true },
      );
    },
    [entries, navigate],
  );
  return { entries, entry, onEntry };
}
