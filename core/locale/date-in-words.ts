import type { DateStyle, WrittenWith } from './written-with';

/**
 * A full-date (RFC 3339, 5.6) as a language writes it (Unicode Technical Standard 35, part 4: date format patterns); `''` for
 * what is no day of the calendar. No time zone comes into it.
 */
export function dateInWords(date: string, style: DateStyle, language: WrittenWith): string {
  if (!isDay(date)) return '';
  const [year, month, day] = date.split('-').map(Number) as [number, number, number];
  const weekday = new Date(`${date}T00:00:00Z`).getUTCDay();
  return language.dates[style].replace(
    /'([^']*)'|([a-zA-Z])\2*/g,
    (field: string, quoted: string | undefined) => {
      if (quoted !== undefined) return quoted === '' ? "'" : quoted;
      const width = field.length;
      switch (field[0]) {
        case 'y':
          return width === 2 ? String(year % 100).padStart(2, '0') : String(year);
        case 'M':
        case 'L': {
          if (width <= 2) return String(month).padStart(width, '0');
          const [inDate, alone] = width === 3 ? language.monthsShort : language.months;
          return (field[0] === 'L' && alone ? alone : inDate)[month - 1]!;
        }
        case 'd':
          return String(day).padStart(width, '0');
        case 'E':
        case 'c': {
          const [inDate, alone] = width <= 3 ? language.daysShort : language.days;
          return (field[0] === 'c' && alone ? alone : inDate)[weekday]!;
        }
        default:
          throw new Error(`Nobody knows how to write ${field} of a date.`);
      }
    },
  );
}

/** Whether a text is a full-date (RFC 3339, 5.6) that the calendar has. */
export function isDay(date: string): boolean {
  if (!/^\d{4}-\d{2}-\d{2}$/.test(date)) return false;
  const day = new Date(`${date}T00:00:00Z`);
  return !Number.isNaN(day.getTime()) && day.toISOString().startsWith(date);
}
