import { keep, kept } from './kept';

/** What keys are about: the parts of the list of keys. */
export const SUBJECTS = [
  'going and placing',
  'what is selected',
  'components',
  'what is seen',
] as const;
export type Subject = (typeof SUBJECTS)[number];

/** What single keys do, by a name that stays, with the key each has when nothing else was chosen. */
export const SINGLE_KEYS = [
  { does: 'go', about: 'going and placing', key: 'g', words: 'go line: place, go, do' },
  {
    does: 'beside',
    about: 'components',
    key: 'b',
    words: 'definition beside the page, open or closed',
  },
  {
    does: 'inside',
    about: 'components',
    key: 'i',
    words: 'look inside the instance that is selected, and back out; on the canvas Alt and a click',
  },
  {
    does: 'make component',
    about: 'components',
    key: 'm',
    words: 'make component of what is selected',
  },
  {
    does: 'expose',
    about: 'components',
    key: 'e',
    words: 'expose the controls of what is selected in a definition',
  },
  {
    does: 'trace',
    about: 'what is selected',
    key: 'x',
    words: 'trace: where the values of what is selected come from',
  },
  {
    does: 'declare',
    about: 'what is selected',
    key: 'd',
    words: 'declare line: a few letters become a declaration in the rule that is lit',
  },
  {
    does: 'wrap',
    about: 'what is selected',
    key: 'w',
    words: 'wrap what is selected in a box',
  },
  {
    does: 'unwrap',
    about: 'what is selected',
    key: 'u',
    words: 'take the box away that is selected, and leave what is in it',
  },
  {
    does: 'zoom',
    about: 'what is selected',
    key: 'z',
    words: 'zoom to what is selected, and back to the whole width',
  },
  {
    does: 'preview',
    about: 'what is seen',
    key: 'p',
    words: 'preview the page as visitors see it, and back',
  },
  {
    does: 'try',
    about: 'what is seen',
    key: 't',
    words: 'try what is open beside it, as visitors use it, with a list of what happens; and back',
  },
  {
    does: 'guides',
    about: 'what is seen',
    key: 'k',
    words: 'guides: columns, baseline and lines to line things up with, shown or not',
  },
  { does: 'narrower', about: 'what is seen', key: ',', words: 'narrower' },
  { does: 'wider', about: 'what is seen', key: '.', words: 'wider' },
  { does: 'entry before', about: 'what is seen', key: '[', words: 'entry before' },
  { does: 'entry after', about: 'what is seen', key: ']', words: 'entry after' },
  {
    does: 'fold left',
    about: 'what is seen',
    key: 'o',
    words: 'outline and shelf, folded or open',
  },
  { does: 'fold ledger', about: 'what is seen', key: 'l', words: 'ledger, folded or open' },
  {
    does: 'values',
    about: 'what is seen',
    key: 'v',
    words: 'into the ledger’s values; from there Tab leads to the first',
  },
  {
    does: 'style',
    about: 'what is seen',
    key: 's',
    words: 'into the ledger’s styles; from there Tab leads to the first',
  },
  {
    does: 'acts',
    about: 'what is seen',
    key: 'a',
    words:
      'into the ledger’s acts: what is done when something happens; from there Tab leads to the first',
  },
  { does: 'history', about: 'what is seen', key: 'h', words: 'the history of what is selected' },
  { does: 'keys', about: 'going and placing', key: '?', words: 'this list' },
] as const;

export type SingleKey = (typeof SINGLE_KEYS)[number]['does'];

/** Keys with a meaning that is not theirs to change. */
export const FIXED_KEYS: readonly (readonly [key: string, does: string, about: Subject])[] = [
  [
    'Arrow keys',
    'walk the tree: up and down siblings, left to what is around, right to what is inside; in the outline, from row to row',
    'going and placing',
  ],
  ['Enter', 'type into the text of what is selected', 'what is selected'],
  ['Escape', 'select what is around, at last the page itself; end typing', 'going and placing'],
  ['F2', 'give what is selected a name of its own, in the outline', 'what is selected'],
  [
    'Shift+Up, Shift+Down',
    'in the outline: select the next one, too; Ctrl+Space one more or less',
    'what is selected',
  ],
  ['Alt+Up, Alt+Down', 'move what is selected before or behind its neighbour', 'what is selected'],
  [
    'Alt+Left, Alt+Right',
    'move it out of what is around, into what stands before',
    'what is selected',
  ],
  [
    'Ctrl+C, Ctrl+X, Ctrl+V',
    'copy, cut, paste: things, text or pictures, also on another site',
    'what is selected',
  ],
  ['Ctrl+D', 'duplicate what is selected', 'what is selected'],
  ['Ctrl+A', 'select all that stands beside what is selected', 'what is selected'],
  ['Delete', 'remove what is selected', 'what is selected'],
  ['Shift+F10', 'the menu of what can be done to what is selected', 'what is selected'],
  ['Ctrl+Z, Ctrl+Shift+Z', 'undo, redo', 'going and placing'],
];

/** Which single key does what, and whether single keys do anything (WCAG 2.2, 2.1.4: they can be turned off or changed). */
export interface Keymap {
  readonly on: boolean;
  /** Only those that were changed. */
  readonly changed: Readonly<Partial<Record<SingleKey, string>>>;
}

export const DEFAULT_KEYMAP: Keymap = { on: true, changed: {} };

/** The key that does something. */
export function keyFor(keymap: Keymap, does: SingleKey): string {
  return keymap.changed[does] ?? SINGLE_KEYS.find((each) => each.does === does)!.key;
}

/** What a key does; nothing when single keys are off or it is none of them. */
export function doneBy(keymap: Keymap, key: string): SingleKey | undefined {
  if (!keymap.on) return undefined;
  return SINGLE_KEYS.find(({ does }) => keyFor(keymap, does) === key)?.does;
}

/** The keymap with another key for something, or why it cannot be. */
export function withKey(
  keymap: Keymap,
  does: SingleKey,
  key: string,
): { keymap: Keymap } | { reason: string } {
  if ([...key].length !== 1 || /\s/.test(key)) return { reason: 'Type one letter, digit or sign.' };
  const taken = SINGLE_KEYS.find((each) => each.does !== does && keyFor(keymap, each.does) === key);
  if (taken) return { reason: `“${key}” is the key of: ${taken.words}.` };
  const changed = { ...keymap.changed, [does]: key };
  if (SINGLE_KEYS.find((each) => each.does === does)!.key === key) delete changed[does];
  return { keymap: { ...keymap, changed } };
}

const STORED = 'sormet.keys';

/** The keymap that this browser keeps; the default where it keeps none that can be read. */
export function keptKeymap(): Keymap {
  return kept(STORED, readKeymap, DEFAULT_KEYMAP);
}

function readKeymap(value: unknown): Keymap {
  const stored = value as Partial<Keymap> | null;
  let keymap: Keymap = { ...DEFAULT_KEYMAP, on: stored?.on !== false };
  for (const { does } of SINGLE_KEYS) {
    const key = stored?.changed?.[does];
    const next = typeof key === 'string' ? withKey(keymap, does, key) : undefined;
    if (next && 'keymap' in next) keymap = next.keymap;
  }
  return keymap;
}

/** Keeps a keymap in this browser. @returns whether it could */
export function keepKeymap(keymap: Keymap): boolean {
  return keep(STORED, keymap);
}
