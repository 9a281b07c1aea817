import { own, type Declared, type Token } from '../model';
import { borderParts } from './block';
import { withNames } from './placeholders';

/** How many tokens may stand in each other; no sound site comes near. */
const DEEPEST = 40;

/**
 * A declaration with the values of its tokens in their place, all the way down; nothing where something else stands in
 * it, or a token is gone.
 * @param theme what a theme makes of tokens
 */
export function filled(
  declared: Declared,
  tokens: Readonly<Record<string, Pick<Token, 'type' | 'value'>>>,
  theme: Readonly<Record<string, Declared>> = {},
  depth = 0,
): string | undefined {
  let whole = depth < DEEPEST;
  const fill: Record<string, string> = {};
  for (const [name, ref] of Object.entries(declared.refs ?? {})) {
    const token = 'token' in ref ? own(tokens, ref.token) : undefined;
    const value = 'token' in ref ? (own(theme, ref.token) ?? token?.value) : undefined;
    if (!value || !('token' in ref) || depth >= DEEPEST) whole = false;
    else {
      const part = ref.part === undefined ? value.css : borderParts(value)?.[ref.part];
      const inner = filled({ ...value, css: part ?? value.css }, tokens, theme, depth + 1);
      if (inner === undefined) whole = false;
      else fill[name] = inner;
    }
  }
  if (!whole) return undefined;
  // Names are what custom properties are called; put back as text where each stands.
  return withNames(declared, (name) => name).replaceAll(
    /var\(--([a-z][a-z0-9-]*)\)/g,
    (all, name: string) => own(fill, name) ?? all,
  );
}
