import { own } from '../../model';
import { SHORTHANDS } from '../shorthands/catalogue';
import { lexer } from '../syntax';

/**
 * Short names for what is declared most, beside the first letters of a property's words (`mt` is margin-top): the everyday
 * words of the trade for it. Where one means several, the first that takes the value.
 */
const SHORT: Readonly<Record<string, readonly string[]>> = {
  pad: ['padding'],
  p: ['padding'],
  mar: ['margin'],
  m: ['margin'],
  px: ['padding-inline'],
  py: ['padding-block'],
  mx: ['margin-inline'],
  my: ['margin-block'],
  ink: ['color'],
  ground: ['background-color', 'background-image'],
  bg: ['background-color', 'background-image', 'background'],
  w: ['width'],
  h: ['height'],
  maxw: ['max-width'],
  minw: ['min-width'],
  maxh: ['max-height'],
  minh: ['min-height'],
  cols: ['grid-template-columns'],
  rows: ['grid-template-rows'],
  col: ['grid-column'],
  row: ['grid-row'],
  span: ['grid-column'],
  round: ['border-radius'],
  rounded: ['border-radius'],
  radius: ['border-radius'],
  size: ['font-size'],
  face: ['font-family'],
  weight: ['font-weight'],
  line: ['line-height'],
  leading: ['line-height'],
  tracking: ['letter-spacing'],
  align: ['text-align'],
  case: ['text-transform'],
  shadow: ['box-shadow'],
  ratio: ['aspect-ratio'],
  z: ['z-index'],
  pos: ['position'],
  op: ['opacity'],
  dir: ['flex-direction'],
  wrap: ['flex-wrap'],
  grow: ['flex-grow'],
  shrink: ['flex-shrink'],
  basis: ['flex-basis'],
  items: ['align-items'],
  justify: ['justify-content'],
  self: ['align-self'],
  turn: ['rotate'],
  ease: ['transition-timing-function'],
  duration: ['transition-duration'],
  delay: ['transition-delay'],
  fit: ['object-fit'],
};

/** Every property of CSS that can be declared, shorthands among them. */
export const PROPERTIES: readonly string[] = [
  ...new Set([...Object.keys(lexer.properties), ...Object.keys(SHORTHANDS)]),
]
  .filter((name) => !name.startsWith('-') && name !== 'all')
  .sort();

const NAMES = new Set(PROPERTIES);

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

/** The properties that some letters may mean or begin, the likeliest first. */
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

/** Of how many properties that letters may mean the first one is taken that takes the value. */
const TRIED = 6;

/**
 * The properties that letters mean in a declaration, of which the first that takes the value is meant. The whole name of
 * a property means that one, a short name of the trade what it is short for.
 */
export function meantBy(letters: string): readonly string[] {
  const typed = letters.trim().toLowerCase();
  if (NAMES.has(typed)) return [typed];
  return own(SHORT, typed) ?? propertiesFor(typed).slice(0, TRIED);
}

function rankOf(name: string, typed: string): number | undefined {
  if (name === typed) return 0;
  const short = own(SHORT, typed)?.indexOf(name) ?? -1;
  if (short >= 0) return 1 + short / 10;
  if (initials(name) === typed && typed.length > 1) return 2;
  if (name.startsWith(typed)) return 3;
  if (name.split('-').some((word) => word.startsWith(typed))) return 4;
  return undefined;
}

/** Whether letters are the name of a property, whole or as the trade shortens it. */
export function isNamed(letters: string): boolean {
  const typed = letters.trim().toLowerCase();
  return NAMES.has(typed) || own(SHORT, typed) !== undefined;
}
