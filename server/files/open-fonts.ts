import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import type { OpenFamily } from '@sormet/core/api';

const { resolve } = createRequire(import.meta.url);

/**
 * The open families that ship with the program (SIL Open Font License 1.1), by the name of their package: each with all
 * weights in one file, in Latin letters and, in files of their own, in those that fewer languages have.
 */
const FAMILIES: readonly {
  readonly key: string;
  readonly family: string;
  readonly generic: OpenFamily['generic'];
  /** Without slanted letters. */
  readonly upright?: true;
}[] = [
  { key: 'literata', family: 'Literata', generic: 'serif' },
  { key: 'source-serif-4', family: 'Source Serif 4', generic: 'serif' },
  { key: 'newsreader', family: 'Newsreader', generic: 'serif' },
  { key: 'bitter', family: 'Bitter', generic: 'serif' },
  { key: 'fraunces', family: 'Fraunces', generic: 'serif' },
  {
    key: 'atkinson-hyperlegible-next',
    family: 'Atkinson Hyperlegible Next',
    generic: 'sans-serif',
  },
  { key: 'source-sans-3', family: 'Source Sans 3', generic: 'sans-serif' },
  { key: 'work-sans', family: 'Work Sans', generic: 'sans-serif' },
  { key: 'figtree', family: 'Figtree', generic: 'sans-serif' },
  {
    key: 'bricolage-grotesque',
    family: 'Bricolage Grotesque',
    generic: 'sans-serif',
    upright: true,
  },
  { key: 'jetbrains-mono', family: 'JetBrains Mono', generic: 'monospace' },
  { key: 'caveat', family: 'Caveat', generic: 'cursive', upright: true },
];

/** Sets of characters that every family has a file for, the one that most words need first. */
const SETS = ['latin', 'latin-ext'] as const;

const folderOf = (key: string) => dirname(resolve(`@fontsource-variable/${key}/package.json`));

/** The families that ship, with their faces: what each file is called, and for which characters it is. */
export function openFamilies(): OpenFamily[] {
  return FAMILIES.map(({ key, family, generic, upright }) => {
    const ranges = JSON.parse(readFileSync(join(folderOf(key), 'unicode.json'), 'utf8')) as Record<
      (typeof SETS)[number],
      string
    >;
    const styles = upright ? (['normal'] as const) : (['normal', 'italic'] as const);
    return {
      family,
      generic,
      faces: styles.flatMap((style) =>
        SETS.map((set) => ({ file: `${key}-${set}-wght-${style}`, style, range: ranges[set] })),
      ),
    };
  });
}

/** Where the file of a face is; nothing for what is the file of none. */
export function openFontFile(name: string): string | undefined {
  for (const { key, upright } of FAMILIES)
    for (const style of upright ? ['normal'] : ['normal', 'italic'])
      for (const set of SETS)
        if (name === `${key}-${set}-wght-${style}`)
          return join(folderOf(key), 'files', `${name}.woff2`);
  return undefined;
}
