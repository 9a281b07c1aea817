import { own, type Block, type State, type Token } from '../../model';
import { saidText, say, type Said } from '../../said';
import { declarationKey, type Width } from '../cascade';
import { expand } from '../expand';
import { refsIn, withParts } from '../placeholders';
import { readValue } from './read-value';

/** A declaration in a block that is none, with why. */
export class WrongDeclaration extends Error {
  readonly said: Said;

  constructor(property: string, typed: string, reason: Said) {
    const said = say('wrong-declaration', { property, typed, reason });
    super(saidText(said));
    this.said = said;
  }
}

type Declarations = Readonly<Record<string, string>>;

/**
 * A block of declarations as people write them, shorthands and names of tokens allowed, for fixed styles in code.
 * @param others what is otherwise, by the width or the state (which begins with `:`) in which it is
 * @throws WrongDeclaration where something is none
 */
export function readBlock(
  tokens: Readonly<Record<string, Token>>,
  base: Declarations,
  others: Readonly<Record<string, Declarations>> = {},
): Block {
  const block: Block = {};
  const add = (declarations: Declarations, width: Width, state: State | undefined) => {
    for (const [property, typed] of Object.entries(declarations)) {
      const read = readValue(property, typed, tokens);
      if (!read.ok) throw new WrongDeclaration(property, typed, read.reason);
      const refs = Object.fromEntries(
        Object.entries(read.tokens).map(([name, token]) => [
          name,
          { token, type: own(tokens, token)!.type },
        ]),
      );
      const expanded = expand(property, read.css, refs);
      if (!expanded.ok) throw new WrongDeclaration(property, typed, expanded.reason);
      for (const [longhand, css] of Object.entries(expanded.longhands)) {
        const used = refsIn(css, withParts(refs));
        block[declarationKey(longhand, width, state)] = used ? { css, refs: used } : { css };
      }
    }
  };
  add(base, 'base', undefined);
  for (const [where, declarations] of Object.entries(others))
    if (where.startsWith(':')) add(declarations, 'base', where as State);
    else add(declarations, where, undefined);
  return block;
}
