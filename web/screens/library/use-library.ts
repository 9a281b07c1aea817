import { useEffect, useMemo, useState } from 'react';
import { allOf, type ComponentDoc, type Documents } from '@sormet/core/model';
import type { LastChanges } from '@sormet/core/api';
import type { Answer, Reach } from '@sormet/core/reach';
import { api } from '../../site/api';
import { useSync } from '../../site/SiteProvider';
import { useApp } from '../../store/store';

export type LibraryOrder = 'name' | 'used' | 'changed';

/** A component with what the library says of it. */
export interface LibraryLine {
  readonly component: ComponentDoc;
  readonly answer: Answer;
  /** How often it is placed. */
  readonly placed: number;
  /** When it was changed last; nothing where no edit did. */
  readonly changed: string | null;
}

/** When each document was changed last, asked for anew with each revision. @returns nothing before it is known */
export function useLastChanges(): LastChanges['changed'] | undefined {
  const sync = useSync();
  const revision = useApp((state) => state.site.revision);
  const [changed, setChanged] = useState<LastChanges['changed'] | undefined>(undefined);
  useEffect(() => {
    let gone = false;
    api.lastChanges(sync.site).then(
      (answer) => {
        if (!gone) setChanged(answer.changed);
      },
      // While the server is away what was known stays; the bar says that it is away.
      () => undefined,
    );
    return () => {
      gone = true;
    };
  }, [sync, revision]);
  return changed;
}

/** The components of a site, found and in the order that was chosen. */
export function useLibrary(
  documents: Documents,
  reach: Reach,
  changed: LastChanges['changed'] | undefined,
  { search, unused, order }: { search: string; unused: boolean; order: LibraryOrder },
): { all: readonly LibraryLine[]; shown: readonly LibraryLine[]; unused: number } {
  const all = useMemo(
    () =>
      allOf(documents, 'component').map((component): LibraryLine => {
        const answer = reach.answer(component.id);
        return {
          component,
          answer,
          placed: answer.instances.filter(({ kind }) => kind === 'places').length,
          changed: changed?.[component.id]?.at ?? null,
        };
      }),
    [documents, reach, changed],
  );
  const shown = useMemo(() => {
    const wanted = search.trim().toLowerCase();
    const byName = (a: LibraryLine, b: LibraryLine) =>
      a.component.name.localeCompare(b.component.name, 'en');
    const compare = {
      name: byName,
      used: (a: LibraryLine, b: LibraryLine) => b.placed - a.placed || byName(a, b),
      changed: (a: LibraryLine, b: LibraryLine) =>
        (b.changed ?? '').localeCompare(a.changed ?? '') || byName(a, b),
    }[order];
    return all
      .filter((line) => line.component.name.toLowerCase().includes(wanted))
      .filter((line) => !unused || isUnused(line, documents))
      .sort(compare);
  }, [all, documents, search, unused, order]);
  return { all, shown, unused: all.filter((line) => isUnused(line, documents)).length };
}

/** Whether nothing places it and the site does not use it as its surround. */
function isUnused({ placed, component }: LibraryLine, documents: Documents): boolean {
  return placed === 0 && documents.site.surround !== component.id;
}
