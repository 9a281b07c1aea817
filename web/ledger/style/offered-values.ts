import type { Token } from '@sormet/core/model';
import { fittingTokens, inOtherUnit, lexer } from '@sormet/core/style';
import { longhandsOfRow } from './rows';

interface Offer {
  readonly value: string;
  readonly what: string;
}

const keywords = new Map<string, readonly string[]>();

/** The words that the syntax of a property lets stand alone (its value definition in the specifications). */
function keywordsOf(property: string): readonly string[] {
  let words = keywords.get(property);
  if (!words) keywords.set(property, (words = [...wordsIn(property, 'Property')]));
  return words;
}

type Syntax = {
  readonly type: string;
  readonly name?: string;
  readonly terms?: readonly Syntax[];
  readonly term?: Syntax;
};

function wordsIn(name: string, of: 'Property' | 'Type', seen = new Set<string>()): Set<string> {
  const found = new Set<string>();
  const key = `${of} ${name}`;
  // Colours are picked or typed: their hundred and fifty names would hide what else there is.
  if (seen.has(key) || (of === 'Type' && /color/.test(name))) return found;
  seen.add(key);
  const definition = (of === 'Property' ? lexer.properties : lexer.types)[name];
  const visit = (syntax: Syntax | null | undefined): void => {
    if (!syntax) return;
    if (syntax.type === 'Keyword' && syntax.name) found.add(syntax.name);
    if (syntax.type === 'Type' || syntax.type === 'Property')
      for (const word of wordsIn(syntax.name!, syntax.type, seen)) found.add(word);
    if (syntax.type === 'Group') for (const term of syntax.terms ?? []) visit(term);
    if (syntax.type === 'Multiplier') visit(syntax.term);
  };
  visit((definition?.syntax ?? null) as Syntax | null);
  return found;
}

/** Values that people write often where the words of CSS alone do not show them. */
const PATTERNS: Readonly<Record<string, readonly [string, string][]>> = {
  'grid-template-columns': [
    ['2', 'two equal columns'],
    ['3', 'three equal columns'],
    ['repeat(auto-fit, minmax(16rem, 1fr))', 'as many as there is room for'],
    ['1fr 2fr', 'a third and two thirds'],
  ],
  'background-image': [
    ['linear-gradient(#0000, #000a)', 'a veil, darker below'],
    ['linear-gradient(90deg, #000a, #0000)', 'a veil from the left'],
  ],
  'box-shadow': [['0 4px 16px #0002', 'soft, below']],
  transform: [
    ['translateY(-2px)', 'a little higher'],
    ['rotate(3deg)', 'turned'],
    ['scale(1.03)', 'a little larger'],
  ],
  filter: [
    ['grayscale(1)', 'without colour'],
    ['blur(4px)', 'blurred'],
  ],
  'aspect-ratio': [
    ['16 / 9', 'wide'],
    ['4 / 3', 'as a photograph'],
    ['1', 'a square'],
  ],
  'transition-property': [
    ['color, background-color, border-color', 'the colours'],
    ['all', 'everything'],
  ],
};

/** What may stand in a cell: tokens that fit, usual values, the words of CSS. */
export function offeredValues(
  property: string,
  tokens: Readonly<Record<string, Token>>,
): readonly Offer[] {
  const fit = fittingTokens(property, tokens).map((id) => {
    const { name, value } = tokens[id]!;
    return { value: name, what: `token, ${inOtherUnit(value.css) ?? value.css}` };
  });
  const usual = (PATTERNS[property] ?? []).map(([value, what]) => ({ value, what }));
  const words = keywordsOf(longhandsOfRow(property)[0]!).map((value) => ({ value, what: '' }));
  return [...fit, ...usual, ...words].slice(0, 60);
}
