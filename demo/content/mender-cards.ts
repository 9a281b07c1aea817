/** Who stands on the page of the menders, as it was typed into the roster: name, what they mend, since which year. */
export const MENDER_CARDS: readonly (readonly [name: string, mends: string, since: number])[] = [
  ['Orla Finch', 'Lamps, leads and anything with a fuse', 2014],
  ['Tam Adeyemi', 'Bicycles, and the patience of their owners', 2016],
  ['Ines Karlsen', 'Outboard motors and stubborn pumps', 2015],
  ['Wilf Prescott', 'Clocks with and without a pendulum', 2014],
  ['Mira Sandoval', 'Books, frames and torn paper', 2019],
  ['Jonty Okafor', 'Kettles, toasters, one coffee machine', 2021],
  ['Perrin Vale', 'Zips, seams and buttonholes', 2017],
  ['Dot Maclaren', 'Chairs that wobble', 2018],
  ['Sunil Barrow', 'Radios older than he is', 2015],
  ['Greta Lindqvist', 'Knives, scissors, anything with an edge', 2020],
  ['Ashwin Pell', 'Phones that fell into water', 2022],
  ['Bronagh Tate', 'Umbrellas and tents', 2016],
  ['Caspar Wren', 'Locks, hinges and drawers that stick', 2019],
  ['Lupe Arrowsmith', 'Shoes and leather bags', 2018],
  ['Hal Norbury', 'Lawn mowers, in spring above all', 2014],
  ['Yusra Field', 'Sewing machines', 2017],
  ['Milo Castellan', 'Toys with and without batteries', 2023],
  ['Edda Rook', 'China, glass and patience', 2016],
  ['Theo Marchbanks', 'Record players and their needles', 2015],
  ['Nell Oduya', 'Bags, rucksacks and their buckles', 2021],
  ['Ruben Sallow', 'Garden tools and handles', 2018],
  ['Freya Holt', 'Mixers, blenders, anything that turns', 2020],
  ['Ivo Pemberton', 'Whatever nobody else will look at', 2014],
];

/** When the doors are open: the records of one property. */
export const HOURS: readonly (readonly [day: string, from: string, to: string])[] = [
  ['Tuesday', '18:00', '20:30'],
  ['Thursday', '18:00', '20:30'],
  ['Saturday', '10:00', '16:00'],
];
