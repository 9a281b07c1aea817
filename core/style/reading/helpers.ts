/** A word that says a few declarations by itself. */
export interface Helper {
  readonly name: string;
  readonly declares: readonly (readonly [property: string, css: string])[];
}

/** The everyday words of the trade that stand for declarations (common practice, no published source). */
const HELPERS: readonly Helper[] = [
  { name: 'centred', declares: [['text-align', 'center']] },
  { name: 'bold', declares: [['font-weight', '700']] },
  { name: 'italic', declares: [['font-style', 'italic']] },
  { name: 'underlined', declares: [['text-decoration-line', 'underline']] },
  { name: 'capitals', declares: [['text-transform', 'uppercase']] },
  { name: 'one line', declares: [['white-space', 'nowrap']] },
  {
    name: 'in a row',
    declares: [
      ['display', 'flex'],
      ['flex-direction', 'row'],
    ],
  },
  {
    name: 'stacked',
    declares: [
      ['display', 'flex'],
      ['flex-direction', 'column'],
    ],
  },
  {
    name: 'in the middle',
    declares: [
      ['margin-left', 'auto'],
      ['margin-right', 'auto'],
    ],
  },
  { name: 'full width', declares: [['width', '100%']] },
  { name: 'cut off', declares: [['overflow', 'hidden']] },
  { name: 'not shown', declares: [['display', 'none']] },
];

/** Other beginnings by which a helper is found. */
const ALSO: Readonly<Record<string, string>> = {
  centered: 'centred',
  uppercase: 'capitals',
  nowrap: 'one line',
  hidden: 'not shown',
  clipped: 'cut off',
  stack: 'stacked',
};

/** The helpers whose names, or words for them, begin with some letters. */
export function helpersFor(letters: string): Helper[] {
  const typed = letters.trim().toLowerCase();
  if (typed === '') return [];
  const named = new Set(
    Object.keys(ALSO)
      .filter((word) => word.startsWith(typed))
      .map((word) => ALSO[word]),
  );
  return HELPERS.filter(({ name }) => name.startsWith(typed) || named.has(name));
}
