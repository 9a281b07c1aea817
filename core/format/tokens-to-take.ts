import {
  allOf,
  FORMAT,
  orderAfterAll,
  orderBetween,
  own,
  sameJson,
  TOKEN_GROUPS,
  type Block,
  type Declared,
  type Documents,
  type StyleDoc,
  type Theme,
  type Token,
  type TokensDoc,
} from '../model';
import type { Said } from '../said';
import { readBlock, readTokenText, readTokenValue, WrongDeclaration } from '../style';
import type { ReadTokens } from './read-tokens';

/** What of a file goes into a site: the records of its tokens and themes as they would be then. */
export interface ToTake {
  readonly tokens: Record<string, Token>;
  readonly themes: Record<string, Theme>;
  /** Shared styles, new ones and those of the site that would say something else. */
  readonly styles: readonly StyleDoc[];
  /** The names of those that the site has and that would be changed. */
  readonly changed: readonly string[];
}

/**
 * The tokens and shared styles of a file as a site would have them: one of the same name is changed, the others come new. @returns why one
 * cannot be, by its place in the file, where that is so
 */
export function tokensToTake(
  documents: Documents,
  {
    tokens: read,
    styles: readStyles,
  }: Pick<Extract<ReadTokens, { ok: true }>, 'tokens' | 'styles'>,
  newId: () => string,
): ToTake | { readonly refused: Said; readonly path: readonly string[] } {
  const doc = documents.tokens;
  const named = new Map(
    Object.entries(doc.tokens).map(([id, { name }]) => [name.toLowerCase(), id]),
  );
  const changed: string[] = [];
  const all: Record<string, Token> = { ...doc.tokens };
  let last =
    Object.values(doc.tokens)
      .map(({ order }) => order)
      .sort()
      .at(-1) ?? null;
  const ids = read.map(({ name, group }) => {
    const known = named.get(name.toLowerCase());
    const id = known ?? newId();
    named.set(name.toLowerCase(), id);
    const { type } = TOKEN_GROUPS[group];
    if (!known) last = orderBetween(last, null);
    // Named before any is read: each may stand in any other.
    all[id] ??= { name, order: last!, type, group, value: { css: '0' } };
    return id;
  });
  const valueOf = (type: Token['type'], css: string): Declared | Said => {
    const inner = readTokenText(type, css, all);
    const text = inner.ok ? inner.css : css;
    const refs = Object.fromEntries(
      Object.entries(inner.ok ? inner.tokens : {}).map(([name, token]) => [
        name,
        { token, type: own(all, token)!.type },
      ]),
    );
    const value = readTokenValue(type, text, refs);
    return value.ok ? value.value : value.reason;
  };
  const tokens: Record<string, Token> = {};
  const themes: Record<string, Theme> = {};
  for (const [i, { path, name, group, css, about, themes: inThemes }] of read.entries()) {
    const id = ids[i]!;
    const { type } = TOKEN_GROUPS[group];
    const value = valueOf(type, css);
    if ('code' in value) return { refused: value, path };
    const before = own(doc.tokens, id);
    const made: Token = {
      ...(before ?? { order: all[id]!.order, group }),
      name,
      type,
      value,
      ...(about === undefined ? {} : { about }),
    };
    if (before && JSON.stringify(before) !== JSON.stringify(made)) changed.push(before.name);
    tokens[id] = made;
    for (const [theme, other] of Object.entries(inThemes)) {
      const otherValue = valueOf(type, other);
      if ('code' in otherValue) return { refused: otherValue, path };
      const themeId = themeCalled(doc, themes, theme) ?? newId();
      const kept = themes[themeId] ??
        own(doc.themes ?? {}, themeId) ?? { name: theme, order: 'a0', values: {} };
      themes[themeId] = { ...kept, values: { ...kept.values, [id]: otherValue } };
    }
  }
  const known = allOf(documents, 'style');
  const styles: StyleDoc[] = [];
  for (const { path, name, declares } of readStyles) {
    const before = known.find((each) => each.name.toLowerCase() === name.toLowerCase());
    let style: Block;
    try {
      style = readBlock(all, declares);
    } catch (error) {
      if (!(error instanceof WrongDeclaration)) throw error;
      return { refused: error.said, path };
    }
    const made: StyleDoc = before
      ? { ...before, style: { ...before.style, ...style } }
      : {
          id: newId(),
          kind: 'style',
          format: FORMAT,
          name,
          order: orderAfterAll([...known, ...styles]),
          base: null,
          origin: null,
          style,
        };
    if (before && !sameJson(before.style, made.style)) changed.push(before.name);
    styles.push(made);
  }
  return { tokens, themes, styles, changed };
}

function themeCalled(
  doc: TokensDoc,
  made: Readonly<Record<string, Theme>>,
  name: string,
): string | undefined {
  const all = { ...doc.themes, ...made };
  return Object.keys(all).find((id) => all[id]!.name.toLowerCase() === name.toLowerCase());
}
