import {
  BORDER_PARTS,
  own,
  PLAIN_THEME,
  tokenProperty,
  type BorderPart,
  type Block,
  type Declared,
  type Documents,
  type Ref,
} from '../model';
import { borderParts, withNames } from '../style';
import type { FontsInUse } from './fonts-css';

type TokenRef = Extract<Ref, { token: string }>;

/** The custom property of a token, or of a part of one. */
export function tokenName({ token, part }: { token: string; part?: BorderPart }): string {
  return part === undefined ? tokenProperty(token) : `${tokenProperty(token)}_${part}`;
}

/**
 * The tokens that a page uses, with those they are made from, and what they are where its themes begin. A custom
 * property is worked out where it is declared (CSS Custom Properties Level 1, 2.2), so a theme says again every token
 * that depends on one it gives another value; and so does each theme inside it, for what it leaves as it was.
 */
export class TokensInUse {
  private readonly used = new Set<string>();
  /** Those that are not the same in every theme of the page. */
  private readonly varying = new Set<string>();

  constructor(
    private readonly documents: Documents,
    blocks: readonly Block[],
    private readonly themes: readonly string[],
    /** The types of tokens that a value of some property may be. */
    chosen: ReadonlySet<string>,
    private readonly fonts: FontsInUse,
  ) {
    for (const id in documents.tokens.tokens)
      if (chosen.has(documents.tokens.tokens[id]!.type)) this.used.add(id);
    for (const block of blocks)
      for (const key in block) for (const { token } of tokensIn(block[key]!)) this.used.add(token);
    // A set gives what is added while it is walked, too.
    for (const id of this.used)
      for (const value of this.valuesOf(id))
        for (const { token } of tokensIn(value)) this.used.add(token);
    for (const theme of themes)
      for (const id in this.themeValues(theme)) if (this.used.has(id)) this.varying.add(id);
    for (let before = -1; before !== this.varying.size;) {
      before = this.varying.size;
      for (const id of this.used)
        if (
          this.valuesOf(id).some((value) =>
            tokensIn(value).some(({ token }) => this.varying.has(token)),
          )
        )
          this.varying.add(id);
    }
  }

  /** What the tokens are at the root of a page whose theme is this. */
  declaredAt(theme: string): string {
    return this.declared(this.used, theme);
  }

  /** What the tokens are that a theme, or one around it, may have changed, where this one begins. */
  declaredIn(theme: string): string {
    return this.declared(this.varying, theme);
  }

  private declared(ids: ReadonlySet<string>, theme: string): string {
    const { tokens } = this.documents.tokens;
    const other = this.themeValues(theme);
    return [...ids]
      .sort()
      .flatMap((id) => {
        const token = own(tokens, id);
        if (!token) return [];
        const value = own(other, id) ?? token.value;
        if (token.type !== 'border') {
          const css = written(value);
          return [
            `--${tokenName({ token: id })}:${token.type === 'font' ? this.fonts.list(css) : css}`,
          ];
        }
        const parts = borderParts(value);
        return BORDER_PARTS.flatMap((part) => {
          if (!parts) return [];
          const css = value.refs ? { css: parts[part], refs: value.refs } : { css: parts[part] };
          return [`--${tokenName({ token: id, part })}:${written(css)}`];
        });
      })
      .join(';');
  }

  private themeValues(theme: string): Readonly<Record<string, Declared>> {
    if (theme === PLAIN_THEME) return {};
    return own(this.documents.tokens.themes ?? {}, theme)?.values ?? {};
  }

  /** What a token is, in any theme of the page. */
  private valuesOf(id: string): Declared[] {
    const token = own(this.documents.tokens.tokens, id);
    const others = this.themes.flatMap((theme) => own(this.themeValues(theme), id) ?? []);
    return token ? [token.value, ...others] : others;
  }
}

function tokensIn({ refs = {} }: Declared): TokenRef[] {
  return Object.values(refs).flatMap((ref) => ('token' in ref ? [ref] : []));
}

function written(value: Declared): string {
  return withNames(value, (_, ref) => ('token' in ref ? tokenName(ref) : ''));
}
