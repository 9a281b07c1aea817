import { groupOf, type Token } from '../../model';
import { filled } from '../filled';
import { written } from './arithmetic';

const NUMBER = /-?(?:\d+\.?\d*|\.\d+)/g;

/** A value with the number in it that stands at a place, or nearest before it, greater or less by a step. */
export function stepped(
  typed: string,
  at: number,
  by: number,
): { readonly text: string; readonly at: number } | undefined {
  const numbers = [...typed.matchAll(NUMBER)];
  const found = numbers.findLast(({ index }) => index <= at) ?? numbers[0];
  if (!found) return undefined;
  const now = written(Number(found[0]) + by);
  const end = found.index + found[0].length;
  return {
    text: typed.slice(0, found.index) + now + typed.slice(end),
    at: found.index + now.length,
  };
}

/** Units of which one is much: they are stepped by a tenth. */
const COARSE = new Set(['rem', 'em', 'fr', 's', 'turn', 'lh', '']);

/** By how much the first number of a value is stepped where it is dragged: one of a fine unit, a tenth of a coarse one. */
export function dragStep(typed: string): number {
  const [, unit = ''] = /^[^\d.-]*-?(?:\d+\.?\d*|\.\d+)(%|[a-z]+)?/i.exec(typed) ?? [];
  return COARSE.has(unit.toLowerCase()) ? 0.1 : 1;
}

/**
 * The token that comes some steps after one, by its name: along the scale that it belongs to, which are the tokens of its
 * group in the same unit, from the least to the most.
 * @returns the name, of the last where the scale ends; nothing where what is typed names none, or it has no number
 */
export function steppedToken(
  typed: string,
  by: number,
  tokens: Readonly<Record<string, Token>>,
): string | undefined {
  const name = typed.trim().toLowerCase();
  const from = Object.values(tokens).find((token) => token.name.toLowerCase() === name);
  const amount = from && amountOf(from, tokens);
  if (!from || !amount) return undefined;
  const scale = Object.values(tokens)
    .flatMap((token) => {
      const own = groupOf(token) === groupOf(from) ? amountOf(token, tokens) : undefined;
      return own?.unit === amount.unit ? [{ token, value: own.value }] : [];
    })
    .sort((a, b) => a.value - b.value);
  const at = scale.findIndex(({ token }) => token === from) + by;
  return scale[Math.min(scale.length - 1, Math.max(0, at))]!.token.name;
}

/** The number that a token is, and its unit; rem count as px at the size of the root. */
function amountOf(
  { value }: Token,
  tokens: Readonly<Record<string, Token>>,
): { value: number; unit: string } | undefined {
  const found = /^(-?(?:\d+\.?\d*|\.\d+))(%|[a-z]*)$/i.exec(filled(value, tokens) ?? '');
  if (!found) return undefined;
  const unit = found[2]!.toLowerCase();
  return unit === 'rem'
    ? { value: Number(found[1]) * 16, unit: 'px' }
    : { value: Number(found[1]), unit };
}
