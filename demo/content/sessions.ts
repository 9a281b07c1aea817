/** An evening or a morning of mending together. */
export interface SessionEntry {
  readonly slug: string;
  readonly title: string;
  readonly day: string;
  readonly hours: string;
  readonly shed: string;
}

export const SESSIONS: readonly SessionEntry[] = [
  {
    slug: 'lamps-and-leads',
    title: 'Lamps and leads',
    day: '2026-12-03',
    hours: '18:00 to 20:30',
    shed: 'millgate',
  },
  {
    slug: 'zips-and-seams',
    title: 'Zips and seams',
    day: '2026-12-05',
    hours: '10:00 to 13:00',
    shed: 'millgate',
  },
  {
    slug: 'bicycle-brakes',
    title: 'Bicycle brakes',
    day: '2026-12-06',
    hours: '14:00 to 16:00',
    shed: 'millgate',
  },
  {
    slug: 'outboards-before-winter',
    title: 'Outboards before winter',
    day: '2026-12-06',
    hours: '09:00 to 12:00',
    shed: 'alderhithe',
  },
  {
    slug: 'monday-machines',
    title: 'Monday machines: sewing from the start',
    day: '2026-12-07',
    hours: '18:30 to 20:30',
    shed: 'bellfield',
  },
  {
    slug: 'buckles-and-straps',
    title: 'Buckles and straps',
    day: '2026-12-08',
    hours: '17:00 to 19:00',
    shed: 'cobbler-yard',
  },
  {
    slug: 'clock-evening',
    title: 'Clock evening',
    day: '2026-12-10',
    hours: '18:00 to 21:00',
    shed: 'dunmoor',
  },
  {
    slug: 'coats-for-the-quay',
    title: 'Coats for the quay',
    day: '2026-12-12',
    hours: '10:00 to 12:30',
    shed: 'eastquay',
  },
  {
    slug: 'sharpening-day',
    title: 'Sharpening day',
    day: '2026-12-12',
    hours: '09:00 to 16:00',
    shed: 'fernacre',
  },
  {
    slug: 'plug-check',
    title: 'Plug check for everybody',
    day: '2026-12-13',
    hours: '11:00 to 15:00',
    shed: 'great-hollin-and-little-hollin',
  },
  {
    slug: 'books-and-backs',
    title: 'Books and backs',
    day: '2026-12-14',
    hours: '18:00 to 20:00',
    shed: 'inkerley',
  },
  {
    slug: 'toaster-clinic',
    title: 'Toaster clinic',
    day: '2026-12-15',
    hours: '17:30 to 19:30',
    shed: 'kettlewick',
  },
];
