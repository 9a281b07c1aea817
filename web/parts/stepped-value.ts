import type { Token } from '@sormet/core/model';
import { dragStep, stepped, steppedToken } from '@sormet/core/style';

/**
 * A value some steps of dragging from where it is: its first number, or the token that it is, along the scale of that.
 * @returns nothing where there is nothing to step
 */
export function steppedValue(
  from: string,
  by: number,
  tokens: Readonly<Record<string, Token>>,
): string | undefined {
  // A scale has few steps: each of them asks for some way.
  const token = steppedToken(from, Math.trunc(by / 4), tokens);
  return token ?? stepped(from, 0, by * dragStep(from))?.text;
}
