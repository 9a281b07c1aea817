import type { GuideLine } from '../model';
import { columnsOf, type GuidesThere } from './guides';

/** What an edge can be held by: something at a place along an axis. */
export interface GuidePlace {
  readonly at: number;
  readonly is:
    | { readonly of: 'column'; readonly number: number; readonly side: 'start' | 'end' }
    | { readonly of: 'margin'; readonly side: 'start' | 'end' }
    | { readonly of: 'line' }
    | { readonly of: 'baseline'; readonly number: number };
}

/** All that an upright edge (`x`) or a level one (`y`) can be held by on a page of some width; not the baseline, which is everywhere. */
export function placesAlong(
  axis: GuideLine['axis'],
  guides: GuidesThere,
  lines: readonly GuideLine[],
  pageWidth: number,
): GuidePlace[] {
  const put = lines
    .filter((line) => line.axis === axis)
    .map(({ at }): GuidePlace => ({ at, is: { of: 'line' } }));
  if (axis === 'y') return put;
  const columns = columnsOf(guides, pageWidth).flatMap(({ from, to }, i): GuidePlace[] => [
    { at: from, is: { of: 'column', number: i + 1, side: 'start' } },
    { at: to, is: { of: 'column', number: i + 1, side: 'end' } },
  ]);
  const margins: GuidePlace[] =
    guides.margin > 0
      ? [
          { at: guides.margin, is: { of: 'margin', side: 'start' } },
          { at: pageWidth - guides.margin, is: { of: 'margin', side: 'end' } },
        ]
      : [];
  return [...put, ...columns, ...margins];
}

/**
 * What holds an edge that comes near: the nearest, of several at one distance the one that stands first.
 * @param baseline the distance of the lines that words stand on, from the top; 0 for none
 * @param near how near it has to come, in CSS px
 */
export function heldBy(
  at: number,
  places: readonly GuidePlace[],
  baseline: number,
  near: number,
): GuidePlace | undefined {
  const number = baseline > 0 ? Math.round(at / baseline) : 0;
  const all: readonly GuidePlace[] =
    baseline > 0 ? [...places, { at: number * baseline, is: { of: 'baseline', number } }] : places;
  let best: GuidePlace | undefined;
  for (const place of all)
    if (
      Math.abs(place.at - at) <= near &&
      (!best || Math.abs(place.at - at) < Math.abs(best.at - at))
    )
      best = place;
  return best;
}
