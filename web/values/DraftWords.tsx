import type { ReactNode } from 'react';
import { docOf, type Documents, type Typed } from '@sormet/core/model';
import { useDerived } from '../site/SiteProvider';

/** That a link leads to what is a draft: visitors get no address there, and on the canvas there is none either. */
export function DraftWords({ value }: { value: Typed | undefined }): ReactNode {
  const { documents } = useDerived();
  return value !== undefined && leadsToDraft(documents, value) ? (
    <span className="cell-note quiet" role="status">
      It leads to a draft: without an address until that is published.
    </span>
  ) : null;
}

/** Whether a value is a link to a page, or to the page of an entry, that is a draft. */
export function leadsToDraft(documents: Documents, value: Typed): boolean {
  if (value.type !== 'link' || value.value?.to !== 'page') return false;
  const { page, entry } = value.value;
  return (
    docOf(documents, 'page', page)?.draft === true ||
    (entry !== undefined && docOf(documents, 'entry', entry)?.draft === true)
  );
}
