import { kindOf, lengthCss, own, TOKEN_GROUPS, type LengthValue, type Token } from '../../model';
import { arithmetic } from '../../style';

type Tokens = Readonly<Record<string, Token>>;

/** A length as it was typed: a token of the site by its name, a sum; a number alone is one of px, as in the cells of styles. */
export function readLength(typed: string, tokens: Tokens = {}): LengthValue | null {
  const name = typed.trim().toLowerCase();
  const token = Object.entries(tokens).find(
    ([, each]) => each.type === TOKEN_GROUPS.space.type && each.name.toLowerCase() === name,
  );
  if (token) return { token: token[0] };
  const summed = arithmetic(typed) ?? typed;
  const whole = /^-?(\d+\.?\d*|\.\d+)$/.test(summed) ? `${summed}px` : summed;
  return kindOf('length').parse?.(whole, { kind: 'length' }) as LengthValue | null;
}

/** A length as people type it; nothing of a token that is gone. */
export function wordsOfLength(length: LengthValue, tokens: Tokens): string | undefined {
  return 'token' in length ? own(tokens, length.token)?.name : lengthCss(length);
}
