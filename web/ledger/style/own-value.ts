import { own, type Declared, type State, type Token } from '@sormet/core/model';
import {
  declarationKey,
  longhandsOf,
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
  if (longhandsOf(property) === undefined) return values[0] ?? '';
  const border = borderToken(declared, tokens);
  if (border !== undefined) return border;
  const whole = together(property, declared);
  if (whole) return valueText(whole, tokens);
  if (values.every((value) => value !== undefined)) return DIFFERS;
  return values.length <= 4 && !property.startsWith('border-')
    ? values.map((value) => value ?? '–').join(' ')
    : IN_PART;
}

/** What stands in the place of the value of a shorthand that says only some of it: the rows below it say which. */
export const IN_PART = 'in part';
/** The same where no one value says all of it. */
export const DIFFERS = 'differs';

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
