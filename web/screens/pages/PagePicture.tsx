import type { ReactNode } from 'react';
import { allOf, type PageDoc } from '@sormet/core/model';
import { BASE_WIDTH } from '../../canvas/Canvas';
import { Picture } from '../../canvas/Picture';
import { useDerived } from '../../site/SiteProvider';

/** A picture of a page as it stands now; of a page made from entries the page of the first. */
export function PagePicture({ page }: { page: PageDoc }): ReactNode {
  const { documents, builtOf } = useDerived();
  const entry =
    page.entries === null
      ? undefined
      : allOf(documents, 'entry').find(({ type }) => type === page.entries);
  const built = builtOf(page.id, entry);
  return built ? (
    <>
      <Picture documents={documents} built={built} drawn={BASE_WIDTH} width={320} height={240} />
      <span className="for-readers">A picture of {page.path} as it stands now</span>
    </>
  ) : (
    <p className="quiet">This page shows nothing yet.</p>
  );
}
