import dayjs from 'dayjs';
import timezone from 'dayjs/plugin/timezone';
import utc from 'dayjs/plugin/utc';

dayjs.extend(utc);
dayjs.extend(timezone);

/** How a field for a day and a time holds it (HTML Living Standard, 2.3.5.4: local dates and times). */
const FIELD = 'YYYY-MM-DDTHH:mm';

/** An instant as clocks of a time zone show it, for a field of a day and a time. */
export function clockTime(instant: string, zone: string): string {
  return dayjs.utc(instant).tz(zone).format(FIELD);
}

/** The instant at which clocks of a time zone show a day and a time; nothing for what is none. */
export function instantAt(local: string, zone: string): string | null {
  const time = dayjs.tz(local, FIELD, zone);
  return local !== '' && time.isValid() ? time.utc().format('YYYY-MM-DD[T]HH:mm[Z]') : null;
}

/** An instant in words, as clocks of a time zone show it. */
export function zonedWords(instant: string, zone: string): string {
  return dayjs.utc(instant).tz(zone).format('D MMM YYYY, HH:mm');
}

/** The day of an instant in a time zone, in words. */
export function zonedDay(instant: string, zone: string): string {
  return dayjs.utc(instant).tz(zone).format('D MMM YYYY');
}
