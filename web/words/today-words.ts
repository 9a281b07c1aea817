import type { TodaySource } from '@sormet/core/model';

/** Days that are often asked for, told from the day on which a page is made. */
export const OFTEN_ASKED: readonly number[] = [0, 1, 7, 14, 30, 90, -1, -7, -14, -30, -90, -365];

/** Which day is read, in words. */
export function todayWords({ days = 0 }: Pick<TodaySource, 'days'>): string {
  if (days === 0) return 'today';
  if (days === 1) return 'tomorrow';
  if (days === -1) return 'yesterday';
  return days > 0 ? `${days} days from today` : `${-days} days ago`;
}
