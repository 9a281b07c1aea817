import type { EntryDoc } from '@sormet/core/model';
import type { Built } from '@sormet/core/resolve';
import { useDerived } from '../site/SiteProvider';
import { useApp } from '../store/store';

/** The built tree of a document for what is shown now, a definition in the variant that is lit; everybody who asks gets the same one. */
export function useBuilt(doc: string, entry: EntryDoc | undefined): Built | undefined {
  const picks = useApp(({ bench }) => (bench.picks?.doc === doc ? bench.picks.axes : undefined));
  return useDerived().builtOf(doc, entry, picks);
}
