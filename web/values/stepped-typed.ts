import type { Token, Typed } from '@sormet/core/model';
import { steppedValue } from '../parts/stepped-value';
import { readLength, wordsOfLength } from '@sormet/core/format';

/**
 * What a number or a length becomes while its label is dragged, by so many steps; a length that is a token goes along the
 * scale of that.
 * @returns nothing where the value is of another kind, or has nothing to step
 */
export function steppedTyped(
  value: Typed | null,
  tokens: Readonly<Record<string, Token>>,
): ((by: number) => Typed | undefined) | undefined {
  if (value?.type === 'number' && value.value !== null) {
    const { value: from } = value;
    const fine = Number.isInteger(from) ? 1 : 0.1;
    return (by) => ({ type: 'number', value: Number((from + Math.trunc(by) * fine).toFixed(9)) });
  }
  if (value?.type !== 'length' || value.value === null) return undefined;
  const from = wordsOfLength(value.value, tokens);
  if (from === undefined || steppedValue(from, 0, tokens) === undefined) return undefined;
  return (by) => {
    const read = readLength(steppedValue(from, by, tokens) ?? '', tokens);
    return read ? { type: 'length', value: read } : undefined;
  };
}
