import type { EntryDoc } from '@sormet/core/model';
import type { Built } from '@sormet/core/resolve';
import { useDerived } from '../site/SiteProvider';

/** The built tree of a document for what is shown now; everybody who asks gets the same one. */
export function useBuilt(doc: string, entry: EntryDoc | undefined): Built | undefined {
  return useDerived().builtOf(doc, entry);
}
