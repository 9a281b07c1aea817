import { dayAfter, dayIn, instantOf, isDue, isTimeZone, momentOf, nextTime, sameMoment } from '.';
import { contentType, documentsOf, entry, site } from '../test/small-site';

describe('the day that it is', () => {
  // Offsets as the tz database of IANA has them (zones "Pacific/Auckland", "America/Los_Angeles", "Asia/Kolkata").
  test.each([
    ['UTC', '2026-12-31T23:30Z', '2026-12-31'],
    ['Pacific/Auckland', '2026-12-31T10:59Z', '2026-12-31'],
    ['Pacific/Auckland', '2026-12-31T11:00Z', '2027-01-01'],
    ['America/Los_Angeles', '2027-01-01T07:59Z', '2026-12-31'],
    ['Asia/Kolkata', '2026-06-30T18:30Z', '2026-07-01'],
    // Clocks go back in the night to 25 October 2026 in London (BST, UTC+1, until then).
    ['Europe/London', '2026-10-23T23:00Z', '2026-10-24'],
    ['Europe/London', '2026-10-25T23:59Z', '2026-10-25'],
  ])('goes by the time zone of the site: %s, %s', (zone, instant, day) => {
    expect(dayIn(zone, new Date(instant))).toBe(day);
  });

  test('is that of UTC where the zone is none', () => {
    expect(isTimeZone('Europe/Nowhere')).toBe(false);
    expect(dayIn('Europe/Nowhere', new Date('2026-12-31T23:30Z'))).toBe('2026-12-31');
  });

  test('is followed by others across months and leap days, and by none where nobody says which it is', () => {
    expect(dayAfter('2026-12-31', 1)).toBe('2027-01-01');
    // 2028 is a leap year (Gregorian calendar).
    expect(dayAfter('2028-02-28', 1)).toBe('2028-02-29');
    expect(dayAfter('2027-03-01', -1)).toBe('2027-02-28');
    expect(dayAfter('', 5)).toBe('');
  });
});

describe('a moment', () => {
  const shed = contentType('shed', { name: 'text' });
  const timed = (from?: string, until?: string) => ({
    ...entry('shed', `s-${from}-${until}`.toLowerCase().replace(/[^a-z0-9]+/g, '-'), {}),
    times: { ...(from ? { from } : {}), ...(until ? { until } : {}) },
  });
  const documents = documentsOf(
    { ...site, timeZone: 'Europe/London' },
    shed,
    entry('shed', 'always', {}),
    timed('2026-12-24T08:00Z', '2027-01-02T00:00Z'),
    timed('2026-12-24T09:00Z'),
  );
  const at = (instant: string) => momentOf(documents, new Date(instant));

  test('is the same between the times at which something comes or goes, and another at each', () => {
    expect(at('2026-12-24T07:59Z')).toEqual({ today: '2026-12-24', now: '' });
    expect(at('2026-12-24T08:00Z')).toEqual({ today: '2026-12-24', now: '2026-12-24T08:00Z' });
    expect(sameMoment(at('2026-12-24T08:00Z'), at('2026-12-24T08:59Z'))).toBe(true);
    expect(at('2026-12-24T09:00Z').now).toBe('2026-12-24T09:00Z');
    expect(sameMoment(at('2026-12-25T09:00Z'), at('2026-12-24T09:00Z'))).toBe(false);
    expect(at('2027-06-01T12:00Z').now).toBe('2027-01-02T00:00Z');
  });

  test('is followed by another when something comes or goes next', () => {
    const next = (instant: string) => nextTime(documents, new Date(instant));
    expect(next('2026-12-01T00:00Z')).toBe('2026-12-24T08:00Z');
    expect(next('2026-12-24T08:00Z')).toBe('2026-12-24T09:00Z');
    expect(next('2026-12-25T08:00Z')).toBe('2027-01-02T00:00Z');
    expect(next('2027-01-02T00:00Z')).toBeUndefined();
  });

  test('shows what has begun and not ended, to the minute, and no draft', () => {
    const one = timed('2026-12-24T08:00Z', '2027-01-02T00:00Z');
    const seen = (instant: string) => isDue(one, at(instant));
    expect(seen('2026-12-24T07:59Z')).toBe(false);
    expect(seen('2026-12-24T08:00Z')).toBe(true);
    expect(seen('2027-01-01T23:59Z')).toBe(true);
    expect(seen('2027-01-02T00:00Z')).toBe(false);
    expect(isDue({ ...one, draft: true }, at('2026-12-25T08:00Z'))).toBe(false);
    expect(instantOf(new Date('2026-12-24T08:00:59.999Z'))).toBe('2026-12-24T08:00Z');
  });
});
