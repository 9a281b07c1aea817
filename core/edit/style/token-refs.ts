import type { Declared, Ref, Token } from '../../model';
import { borderParts } from '../../style';

/** A declaration with another token in the place of one. */
export function inPlaceOf(declared: Declared, token: string, instead: string): Declared {
  const { refs } = declared;
  if (!refs) return declared;
  const changed = Object.entries(refs).map(([name, ref]): [string, Ref] => [
    name,
    'token' in ref && ref.token === token ? { ...ref, token: instead } : ref,
  ]);
  return { css: declared.css, refs: Object.fromEntries(changed) };
}

/** A declaration with the value of a token, and what that is made from, in the place of the token. */
export function writtenOut(declared: Declared, token: string, { type, value }: Token): Declared {
  let { css } = declared;
  const refs: Record<string, Ref> = { ...declared.refs };
  for (const [name, ref] of Object.entries(declared.refs ?? {})) {
    if (!('token' in ref) || ref.token !== token) continue;
    delete refs[name];
    let stands =
      type === 'border' && ref.part ? (borderParts(value)?.[ref.part] ?? value.css) : value.css;
    for (const [inner, made] of Object.entries(value.refs ?? {})) {
      if (!stands.includes(`var(--${inner})`)) continue;
      const free = freeName(refs, inner);
      stands = stands.replaceAll(`var(--${inner})`, `var(--${free})`);
      refs[free] = made;
    }
    css = css.replaceAll(`var(--${name})`, stands);
  }
  return Object.keys(refs).length > 0 ? { css, refs } : { css };
}

function freeName(taken: Readonly<Record<string, Ref>>, name: string): string {
  let free = name;
  for (let i = 2; Object.hasOwn(taken, free); i += 1) free = `${name}-${i}`;
  return free;
}
