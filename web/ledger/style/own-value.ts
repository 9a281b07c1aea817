import { own, type Declared, type State, type Token } from '@sormet/core/model';
import {
  declarationKey,
  together,
  valueText,
  type AppliedBlock,
  type Width,
} from '@sormet/core/style';

import { longhandsOfRow } from './rows';

type Tokens = Readonly<Record<string, Token>>;

/** What a rule itself declares for a property, shorthand or not, at one width and in one state, as people read it. */
export function ownValue(
  rule: AppliedBlock,
  property: string,
  width: Width,
  state: State | undefined,
  tokens: Tokens,
): string | undefined {
  const at = (name: string) => own<Declared>(rule.block, declarationKey(name, width, state));
  const values = longhandsOfRow(property).map(at);
  if (values.every((value) => value === undefined)) return undefined;
  return joined(property, values, tokens);
}

/** Longhand values as one shorthand, as people read it; where some are missing, what is there with gaps shown. */
export function joined(
  property: string,
  declared: readonly (Declared | undefined)[],
  tokens: Tokens,
): string {
  const values = declared.map((each) => each && valueText(each, tokens));
  if (values.length === 1) return values[0] ?? '';
  if (property === 'border' || property === 'outline' || /^border-[a-z]+$/.test(property)) {
    const whole = borderToken(declared, tokens);
    if (whole !== undefined) return whole;
    if (values.length === 12 || values.length === 3) {
      const uniform = values.every((value, i) => value === values[i % 3]);
      if (!uniform) return 'differs by side';
      return values
        .slice(0, 3)
        .map((value) => value ?? '–')
        .join(' ');
    }
  }
  return together(values) ?? values.map((value) => value ?? '–').join(' ');
}

/** The name of the token that a whole border is, part by part. */
function borderToken(
  declared: readonly (Declared | undefined)[],
  tokens: Tokens,
): string | undefined {
  const named = declared.map((each) => {
    const [ref] = Object.values(each?.refs ?? {});
    return ref && 'token' in ref && ref.part ? ref.token : undefined;
  });
  const [first] = named;
  return first !== undefined && named.every((each) => each === first)
    ? own(tokens, first)?.name
    : undefined;
}
