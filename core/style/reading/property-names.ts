import { lexer } from 'css-tree';
import { longhandsOf } from '../expand';

/**
 * Short names for what is declared most, beside the first letters of a property's words (`mt` is margin-top). Each is the
 * everyday word of the trade for it.
 */
const SHORT: Readonly<Record<string, string>> = {
  pad: 'padding',
  mar: 'margin',
  ink: 'color',
  ground: 'background-color',
  cols: 'grid-template-columns',
  rows: 'grid-template-rows',
  w: 'width',
  h: 'height',
  gap: 'gap',
  round: 'border-radius',
  size: 'font-size',
  font: 'font-family',
  weight: 'font-weight',
  line: 'line-height',
  align: 'text-align',
  shadow: 'box-shadow',
  ratio: 'aspect-ratio',
  px: 'padding-inline',
  py: 'padding-block',
  mx: 'margin-inline',
  my: 'margin-block',
};

const known = lexer as unknown as { readonly properties: Readonly<Record<string, unknown>> };

/** Every property of CSS that can be declared, shorthands that are taken apart among them. */
export const PROPERTIES: readonly string[] = [
  ...new Set([
    ...Object.keys(known.properties).filter((name) => !name.startsWith('-')),
    ...Object.values(SHORT).filter((name) => longhandsOf(name)),
  ]),
].sort();

const COMMON = [
  'padding',
  'margin',
  'margin-top',
  'margin-bottom',
  'color',
  'background-color',
  'background-image',
  'width',
  'height',
  'max-width',
  'min-height',
  'display',
  'position',
  'gap',
  'font-size',
  'font-weight',
  'text-align',
  'border',
  'border-radius',
  'align-items',
  'justify-content',
  'flex-direction',
  'grid-template-columns',
  'opacity',
  'transform',
  'box-shadow',
];

const initials = (name: string) =>
  name
    .split('-')
    .map((word) => word[0])
    .join('');

/** The properties that some letters may mean, the likeliest first. */
export function propertiesFor(letters: string): string[] {
  const typed = letters.trim().toLowerCase();
  if (typed === '') return [...COMMON];
  const ranked = PROPERTIES.flatMap((name): [string, number][] => {
    const rank = rankOf(name, typed);
    return rank === undefined ? [] : [[name, rank - (COMMON.includes(name) ? 0.5 : 0)]];
  });
  return ranked
    .sort((a, b) => a[1] - b[1] || a[0].length - b[0].length || (a[0] < b[0] ? -1 : 1))
    .map(([name]) => name);
}

function rankOf(name: string, typed: string): number | undefined {
  if (name === typed) return 0;
  if (SHORT[typed] === name) return 1;
  if (initials(name) === typed && typed.length > 1) return 2;
  if (name.startsWith(typed)) return 3;
  if (name.split('-').some((word) => word.startsWith(typed))) return 4;
  return undefined;
}
