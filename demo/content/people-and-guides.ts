/** Somebody who mends, and where. */
export interface MenderEntry {
  readonly slug: string;
  readonly name: string;
  readonly mends: string;
  readonly shed: string;
}

export const MENDERS: readonly MenderEntry[] = [
  {
    slug: 'orla-finch',
    name: 'Orla Finch',
    mends: 'Lamps, leads and anything with a fuse',
    shed: 'millgate',
  },
  {
    slug: 'tam-adeyemi',
    name: 'Tam Adeyemi',
    mends: 'Bicycles, and the patience of their owners',
    shed: 'bellfield',
  },
  {
    slug: 'ines-karlsen',
    name: 'Ines Karlsen',
    mends: 'Outboard motors and stubborn pumps',
    shed: 'alderhithe',
  },
  {
    slug: 'wilf-prescott',
    name: 'Wilf Prescott',
    mends: 'Clocks with and without a pendulum',
    shed: 'dunmoor',
  },
  {
    slug: 'mira-sandoval',
    name: 'Mira Sandoval',
    mends: 'Books, frames and torn paper',
    shed: 'inkerley',
  },
  {
    slug: 'jonty-okafor',
    name: 'Jonty Okafor',
    mends: 'Kettles, toasters, one coffee machine',
    shed: 'kettlewick',
  },
];

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
