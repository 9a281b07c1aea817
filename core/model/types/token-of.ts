import { Type, type Static } from '@sinclair/typebox';
import { ID_PATTERN } from '../ids';

/** A token in the place of a value: what it is on the site, and in each theme. */
export const TokenOf = Type.Object(
  { token: Type.String({ pattern: ID_PATTERN }) },
  { additionalProperties: false },
);
export type TokenOf = Static<typeof TokenOf>;

/** The custom property of a token. */
export function tokenProperty(token: string): string {
  return `t-${token}`;
}

/** A token as it stands in a declaration. */
export function tokenCss({ token }: TokenOf): string {
  return `var(--${tokenProperty(token)})`;
}
