import { claim } from './claims';
import type { Documents } from './document-set';
import type { EntryDates } from './entry-dates';
import { docOf } from './looking-up';
import type { Times } from './times';

/**
 * A moment as far as anything published goes by it: which day it is where the site is, and the last instant at which an entry
 * came or went. As long as both are the same, so is every page. It is an input of what is made: nothing reads a clock.
 */
export interface Moment {
  /** A full-date (RFC 3339, 5.6); `''` where nobody says. */
  readonly today: string;
  /** An instant; `''` before the first. */
  readonly now: string;
  /** The days of entries as they are known at it; only where something of the site reads them. */
  readonly dates?: EntryDates;
}

/** No moment at all: no day is today, and what begins at a time has not begun. */
export const NO_MOMENT: Moment = Object.freeze({ today: '', now: '' });

/** Whether two moments are the same to all that goes by the clock: the days of entries change with what is published. */
export function sameMoment(a: Moment, b: Moment): boolean {
  return a.today === b.today && a.now === b.now;
}

/** The time zone of a site that says none. */
export const DEFAULT_ZONE = 'UTC';

/** Whether a time zone is known here, by its name in the tz database of IANA. */
export function isTimeZone(name: string): boolean {
  try {
    new Intl.DateTimeFormat('en', { timeZone: name });
    return true;
  } catch (error) {
    if (error instanceof RangeError) return false;
    throw error;
  }
}

/** The minute of a date, as an instant. */
export function instantOf(date: Date): string {
  return `${date.toISOString().slice(0, 16)}Z`;
}

/** The day that it is at a date in a time zone, as a full-date. A zone that is not known here counts as UTC. */
export function dayIn(zone: string, date: Date): string {
  const parts = daysOf(zone).formatToParts(date);
  const of = (type: Intl.DateTimeFormatPartTypes) =>
    parts.find((part) => part.type === type)?.value ?? '';
  return `${of('year').padStart(4, '0')}-${of('month')}-${of('day')}`;
}

/** What writes days of a time zone: making one costs a hundred times what it is asked. */
const writers = new Map<string, Intl.DateTimeFormat>();

function daysOf(zone: string): Intl.DateTimeFormat {
  const kept = writers.get(zone);
  if (kept) return kept;
  const timeZone = isTimeZone(zone) ? zone : DEFAULT_ZONE;
  const made = new Intl.DateTimeFormat('en', {
    timeZone,
    calendar: 'gregory',
    numberingSystem: 'latn',
    year: 'numeric',
    month: '2-digit',
    day: '2-digit',
  });
  writers.set(zone, made);
  return made;
}

/** The moment of a site at a date. */
export function momentOf(documents: Documents, date: Date): Moment {
  const now = instantOf(date);
  let last = '';
  for (const id of documents.claiming(claim.timed))
    for (const time of Object.values(docOf(documents, 'entry', id)?.times ?? {}))
      if (time <= now && time > last) last = time;
  return { today: dayIn(documents.site.timeZone ?? DEFAULT_ZONE, date), now: last };
}

/** The next instant after a date at which an entry of a site comes or goes; nothing where none does. */
export function nextTime(documents: Documents, date: Date): string | undefined {
  const now = instantOf(date);
  let next: string | undefined;
  for (const id of documents.claiming(claim.timed))
    for (const time of Object.values(docOf(documents, 'entry', id)?.times ?? {}))
      if (time > now && (next === undefined || time < next)) next = time;
  return next;
}

/** Whether visitors see an entry at a moment. */
export function isDue(
  { draft, times }: { readonly draft: boolean; readonly times?: Times | undefined },
  { now }: Pick<Moment, 'now'>,
): boolean {
  if (draft) return false;
  if (!times) return true;
  return (times.from ?? '') <= now && (times.until === undefined || times.until > now);
}

/** The day so many days after one, as a full-date; `''` where there is no day. */
export function dayAfter(day: string, days: number): string {
  if (day === '') return '';
  const date = new Date(`${day}T00:00:00Z`);
  date.setUTCDate(date.getUTCDate() + days);
  return date.toISOString().slice(0, 10);
}
