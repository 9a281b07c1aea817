import { useMemo } from 'react';
import { guidesAt, linesAt, NO_GUIDES, placesAlong, type GuidePlace } from '@sormet/core/guides';
import type { GuidesThere } from '@sormet/core/guides';
import { treeDocOf, type GuideLine } from '@sormet/core/model';
import type { Stage } from '../../canvas/stage';
import { useDerived } from '../../site/SiteProvider';
import { useBench } from '../../store/store';

/** What a document that is drawn is lined up with. */
export interface GuidesOfStage {
  readonly guides: GuidesThere;
  readonly lines: readonly { readonly id: string; readonly line: GuideLine }[];
  /** What an edge along an axis can be held by. */
  readonly places: Readonly<Record<GuideLine['axis'], readonly GuidePlace[]>>;
}

/**
 * The guides over a document at the width that is looked at; nothing while they are not shown. Columns and baseline are
 * those of pages: a definition has its lines alone.
 */
export function useGuides({ doc, width: drawnWidth }: Stage): GuidesOfStage | undefined {
  const { documents } = useDerived();
  const { width, guides: isShown } = useBench('width', 'guides');
  return useMemo(() => {
    const stored = treeDocOf(documents, doc);
    if (!isShown || !stored) return undefined;
    const guides = stored.kind === 'page' ? guidesAt(documents.site, width) : NO_GUIDES;
    const lines = linesAt(stored, width);
    const along = (axis: GuideLine['axis']) =>
      placesAlong(
        axis,
        guides,
        lines.map(({ line }) => line),
        drawnWidth,
      );
    return { guides, lines, places: { x: along('x'), y: along('y') } };
  }, [documents, doc, drawnWidth, width, isShown]);
}
