import { useCallback, useMemo } from 'react';
import { useSearchParams } from 'react-router';
import { allOf, type EntryDoc, type TreeDoc } from '@sormet/core/model';
import { useDerived } from '../site/SiteProvider';

/** The entries that a page is made from, by slug, the one that is shown, and going to another. */
export function useEntries(doc: TreeDoc | undefined): {
  readonly entries: readonly EntryDoc[];
  readonly entry: EntryDoc | undefined;
  readonly onEntry: (step: number) => void;
} {
  const { documents } = useDerived();
  const [search, setSearch] = useSearchParams();
  const type = doc?.kind === 'page' ? doc.entries : null;
  const entries = useMemo(
    () =>
      allOf(documents, 'entry')
        .filter((entry) => entry.type === type)
        .sort((a, b) => (a.slug < b.slug ? -1 : 1)),
    [documents, type],
  );
  const entry = entries.find(({ id }) => id === search.get('entry')) ?? entries[0];
  const onEntry = useCallback(
    (step: number) => {
      if (!entry) return;
      const next = entries[(entries.indexOf(entry) + step + entries.length) % entries.length]!;
      setSearch({ entry: next.id }, { replace: true });
    },
    [entries, entry, setSearch],
  );
  return { entries, entry, onEntry };
}
