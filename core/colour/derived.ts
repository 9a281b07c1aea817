/** How a colour may differ from the token it stays tied to: with what it is mixed (CSS Color 5, 3). */
const DERIVED = {
  darker: 'color-mix(in oklab, var(--of), black 18%)',
  lighter: 'color-mix(in oklab, var(--of), white 18%)',
  quieter: 'color-mix(in oklab, var(--of), gray 40%)',
} as const;
/** What can be made of a colour: a step in lightness, or towards grey. */
export type Derivation = keyof typeof DERIVED;
/** The names of what can be made of a colour, in the order in which they are offered. */
export const DERIVATIONS = Object.keys(DERIVED) as Derivation[];

/** A token's value that is darker, lighter or quieter than another token, and follows it. */
export function derivedFrom(token: string, how: Derivation) {
  return { css: DERIVED[how], tokens: { of: token } };
}
