/** How to mend one thing. */
export interface GuideEntry {
  readonly slug: string;
  readonly title: string;
  readonly summary: string;
  readonly minutes: number;
}

export const GUIDES: readonly GuideEntry[] = [
  {
    slug: 'a-zip-that-splits',
    title: 'A zip that splits',
    summary:
      'Nine times in ten the slider is worn, not the teeth. Two pliers and five minutes put it right.',
    minutes: 5,
  },
  {
    slug: 'a-lamp-that-flickers',
    title: 'A lamp that flickers',
    summary:
      'Begin at the plug and work towards the bulb. The fault is nearly always where the lead bends.',
    minutes: 20,
  },
  {
    slug: 'a-chair-that-rocks',
    title: 'A chair that rocks',
    summary: 'Take the joint apart before you glue it. Old glue holds nothing but more old glue.',
    minutes: 60,
  },
];
