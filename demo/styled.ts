import type { Block } from '@sormet/core/model';
import { readBlock } from '@sormet/core/style';
import { tokens } from './tokens';

type Declarations = Readonly<Record<string, string>>;

/** A block of declarations with the tokens of the demo by their names in braces. */
export function styled(
  base: Declarations,
  others: Readonly<Record<string, Declarations>> = {},
): Block {
  return readBlock(tokens.tokens, base, others);
}
