import type { ShedDrawing } from '../pictures/shed';

/** One shed as people would write it down. */
export interface ShedEntry {
  readonly slug: string;
  readonly name: string;
  readonly number: number;
  readonly summary: string;
  readonly street: string;
  readonly benches: number;
  readonly opened: string;
  readonly phone: string;
  readonly alt?: string;
  readonly drawing?: ShedDrawing;
  /** Whether its card lies in lists. */
  readonly lies?: true;
}

/** The twelve sheds. One has a very long name, one has no picture yet. */
export const SHEDS: readonly ShedEntry[] = [
  {
    slug: 'alderhithe',
    name: 'Alderhithe',
    number: 1,
    summary:
      'A boathouse on the old landing. Good light, a long bench for long things, and somebody who knows outboard motors.',
    street: '2 Landing Lane',
    benches: 6,
    opened: '2019-03-16',
    phone: '01632 960101',
    lies: true,
    alt: 'A timber boathouse beside calm water',
    drawing: {
      sky: '#d5dfe0',
      wall: '#7b4a2c',
      roof: '#3f2a1e',
      ground: '#a8b48a',
      water: '#7fa0a3',
      variant: 1,
    },
  },
  {
    slug: 'bellfield',
    name: 'Bellfield',
    number: 2,
    summary:
      'Two rooms behind the school. Sewing machines on Mondays, bicycles on Thursdays, children welcome on both.',
    street: '14 School Row',
    benches: 4,
    opened: '2019-09-07',
    phone: '01632 960102',
    alt: 'A low brick workshop under a wide sky',
    drawing: { sky: '#e9dcc3', wall: '#a5543a', roof: '#5a3226', ground: '#c3b07f', variant: 2 },
  },
  {
    slug: 'millgate',
    name: 'Millgate',
    number: 3,
    summary:
      'The old dye works by the weir. Lathe, sewing bench and a kettle that is always on. Bring what is broken.',
    street: '9 Weir Street',
    benches: 8,
    opened: '2020-02-01',
    phone: '01632 960103',
    alt: 'A tall brown shed by a weir, its door lit',
    drawing: {
      sky: '#d9c4a0',
      wall: '#7a4a2b',
      roof: '#4a2f20',
      ground: '#bf9a66',
      water: '#7d9a9e',
      variant: 3,
    },
  },
  {
    slug: 'cobbler-yard',
    name: 'Cobbler Yard',
    number: 4,
    summary:
      'Leather, canvas and anything with a buckle. The press in the corner came from the last bootmaker in town.',
    street: 'Cobbler Yard, off High Street',
    benches: 3,
    opened: '2020-10-24',
    phone: '01632 960104',
    alt: 'A small yard workshop with a green door',
    drawing: { sky: '#e3d9d0', wall: '#6d6a55', roof: '#3d3b30', ground: '#b9a98c', variant: 4 },
  },
  {
    slug: 'dunmoor',
    name: 'Dunmoor',
    number: 5,
    summary:
      'The highest shed we have, and the warmest stove. Clocks, radios, and snow shovels in January.',
    street: '1 Moor Road',
    benches: 5,
    opened: '2021-01-30',
    phone: '01632 960105',
    alt: 'A stone shed on open moorland',
    drawing: { sky: '#c9d4d8', wall: '#80756a', roof: '#49423b', ground: '#93a07c', variant: 5 },
  },
  {
    slug: 'eastquay',
    name: 'Eastquay',
    number: 6,
    summary:
      'Nets, ropes, rain coats and prams. Open at low tide on Saturdays, which is written on the door.',
    street: '30 East Quay',
    benches: 6,
    opened: '2021-05-15',
    phone: '01632 960106',
    alt: 'A red shed on a quay at low tide',
    drawing: {
      sky: '#d3e0e4',
      wall: '#9a3b17',
      roof: '#4b2215',
      ground: '#c9bd9e',
      water: '#6f939b',
      variant: 6,
    },
  },
  {
    slug: 'fernacre',
    name: 'Fernacre',
    number: 7,
    summary:
      'In the walled garden. Tools are sharpened here, and mowers are talked back to life every spring.',
    street: 'The Walled Garden',
    benches: 4,
    opened: '2021-09-11',
    phone: '01632 960107',
    alt: 'A garden workshop between old trees',
    drawing: { sky: '#e2e4cf', wall: '#6f7d4f', roof: '#3b4429', ground: '#9fae72', variant: 7 },
  },
  {
    slug: 'great-hollin-and-little-hollin',
    name: 'Great Hollin and Little Hollin Joint Village Workshop and Tool Library',
    number: 8,
    summary:
      'Two villages, one shed, one long argument about the name. Everything with a plug is tested before it leaves.',
    street: 'The Green, Great Hollin',
    benches: 10,
    opened: '2022-03-05',
    phone: '01632 960108',
    alt: 'A wide workshop on a village green',
    drawing: { sky: '#dfe6d6', wall: '#8b5e34', roof: '#55371d', ground: '#8fa56b', variant: 8 },
  },
  {
    slug: 'harrowby',
    name: 'Harrowby',
    number: 9,
    summary:
      'Under the railway arch. Loud things are mended here so that other sheds can be quiet.',
    street: 'Arch 7, Station Road',
    benches: 5,
    opened: '2022-08-20',
    phone: '01632 960109',
    alt: 'A workshop front under a railway arch',
    drawing: { sky: '#d8d2cc', wall: '#5b4b4a', roof: '#332a2a', ground: '#a99f92', variant: 9 },
  },
  {
    slug: 'inkerley',
    name: 'Inkerley',
    number: 10,
    summary:
      'Paper, books, frames and one printing press. Bring the photograph album; leave with it whole.',
    street: '5 Chapel Street',
    benches: 3,
    opened: '2023-02-18',
    phone: '01632 960110',
    alt: 'A narrow workshop with tall windows',
    drawing: { sky: '#e6ddcf', wall: '#4f6470', roof: '#2d3a42', ground: '#bfae8d', variant: 10 },
  },
  {
    slug: 'juniper-lock',
    name: 'Juniper Lock',
    number: 11,
    summary:
      'A new shed in the lock keeper’s store. We are still painting it, and have not taken its picture yet.',
    street: 'Lock Cottage',
    benches: 2,
    opened: '2025-04-12',
    phone: '01632 960111',
  },
  {
    slug: 'kettlewick',
    name: 'Kettlewick',
    number: 12,
    summary: 'Kettles, toasters and lamps: if it warms or shines, Kettlewick knows why it stopped.',
    street: '21 Market Place',
    benches: 7,
    opened: '2025-09-27',
    phone: '01632 960112',
    alt: 'A corner workshop in evening light',
    drawing: { sky: '#e7c9a3', wall: '#8c4b2f', roof: '#4f2a1b', ground: '#b48e5f', variant: 0 },
  },
];
