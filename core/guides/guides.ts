import { own, type GuideLine, type Guides, type SiteDoc, type TreeDoc } from '../model';
import { widthsOf, type Width } from '../style';

/** Guides with nothing left out, as they hold at a width. */
export type GuidesThere = Required<Guides>;

/** What holds where nothing was said. */
export const NO_GUIDES: GuidesThere = Object.freeze({
  columns: 0,
  gutter: 0,
  margin: 0,
  widest: 0,
  baseline: 0,
});

/** The guides that hold at a width of a site: what it does not say is as at the next wider one that does. */
export function guidesAt(site: SiteDoc, width: Width): GuidesThere {
  const widths = widthsOf(site);
  const upTo = widths.slice(0, widths.findIndex(({ id }) => id === width) + 1);
  return upTo.reduce<GuidesThere>(
    (there, { id }) => ({ ...there, ...own(site.guides ?? {}, id) }),
    NO_GUIDES,
  );
}

/** A stretch along an axis, in CSS px. */
export interface Stretch {
  readonly from: number;
  readonly to: number;
}

/**
 * The columns of a page of some width, in CSS px from its left: as wide as one another, a gutter between each two, in the
 * middle between margins.
 * @returns none where they do not fit
 */
export function columnsOf(
  { columns, gutter, margin, widest }: GuidesThere,
  pageWidth: number,
): Stretch[] {
  const room = pageWidth - 2 * margin;
  const all = widest > 0 ? Math.min(room, widest) : room;
  const one = (all - gutter * (columns - 1)) / columns;
  if (columns === 0 || one <= 0) return [];
  const left = (pageWidth - all) / 2;
  return Array.from({ length: columns }, (_, i) => {
    const from = left + i * (one + gutter);
    return { from, to: from + one };
  });
}

/** The lines of a document at a width, with their ids. */
export function linesAt(doc: TreeDoc, width: Width): { id: string; line: GuideLine }[] {
  return Object.entries(doc.lines ?? {})
    .filter(([, line]) => line.width === width)
    .map(([id, line]) => ({ id, line }))
    .sort((a, b) => a.line.at - b.line.at || (a.id < b.id ? -1 : 1));
}
