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
  pointer,
  type Documents,
  type Finding,
  type StyleDoc,
  type Theme,
  type Token,
  type TokensDoc,
} from '../model';
import { say, type Said } from '../said';
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
  /** What stays out, each by its place in the file. */
  readonly left: readonly Finding[];
}

/**
 * The tokens and shared styles of a file as a site would have them: one of the same name is changed, the others come new.
 * What cannot be one stays out, and with it what is made from it
 */
export function tokensToTake(
  documents: Documents,
  {
    tokens: read,
    styles: readStyles,
  }: Pick<Extract<ReadTokens, { ok: true }>, 'tokens' | 'styles'>,
  newId: () => string,
): ToTake {
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
    // What a file names in braces and did not bring stays out, and so does this.
    for (const [, name] of css.matchAll(/\{([^{}]+)\}/g))
      if (!named.has(name!.toLowerCase())) return say('made-from-left');
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
  const left: Finding[] = [];
  const paths = new Map<string, readonly string[]>();
  const tokens: Record<string, Token> = {};
  const themes: Record<string, Theme> = {};
  for (const [i, { path, name, group, css, about, themes: inThemes }] of read.entries()) {
    const id = ids[i]!;
    const { type } = TOKEN_GROUPS[group];
    // A font stack may hold a word that is its own name: that is the font, not the token.
    const itself = all[id]!;
    delete all[id];
    const value = valueOf(type, css);
    all[id] = itself;
    if ('code' in value) {
      left.push({ path: pointer(...path), reason: value });
      continue;
    }
    const before = own(doc.tokens, id);
    const made: Token = {
      ...(before ?? { order: all[id]!.order, group }),
      name,
      type,
      value,
      ...(about === undefined ? {} : { about }),
    };
    tokens[id] = made;
    paths.set(id, path);
    for (const [theme, other] of Object.entries(inThemes)) {
      const otherValue = valueOf(type, other);
      if ('code' in otherValue) {
        left.push({ path: pointer(...path), reason: otherValue });
        continue;
      }
      const themeId = themeCalled(doc, themes, theme) ?? newId();
      const kept = themes[themeId] ??
        own(doc.themes ?? {}, themeId) ?? { name: theme, order: 'a0', values: {} };
      themes[themeId] = { ...kept, values: { ...kept.values, [id]: otherValue } };
    }
  }
  leaveLoose(doc, tokens, themes, paths, left);
  for (const [id, made] of Object.entries(tokens)) {
    const before = own(doc.tokens, id);
    if (before && JSON.stringify(before) !== JSON.stringify(made)) changed.push(before.name);
  }
  const known = allOf(documents, 'style');
  const styles: StyleDoc[] = [];
  for (const { path, name, declares } of readStyles) {
    const before = known.find((each) => each.name.toLowerCase() === name.toLowerCase());
    let style: Block;
    try {
      style = readBlock({ ...doc.tokens, ...tokens }, declares);
    } catch (error) {
      if (!(error instanceof WrongDeclaration)) throw error;
      left.push({ path: pointer(...path), reason: error.said });
      continue;
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
  return { tokens, themes, styles, changed, left };
}

function themeCalled(
  doc: TokensDoc,
  made: Readonly<Record<string, Theme>>,
  name: string,
): string | undefined {
  const all = { ...doc.themes, ...made };
  return Object.keys(all).find((id) => all[id]!.name.toLowerCase() === name.toLowerCase());
}

/** Takes out what is made from tokens that stay out, until nothing is. */
function leaveLoose(
  doc: TokensDoc,
  tokens: Record<string, Token>,
  themes: Record<string, Theme>,
  paths: ReadonlyMap<string, readonly string[]>,
  left: Finding[],
): void {
  const isLoose = ({ refs = {} }: Declared) =>
    Object.values(refs).some(
      (ref) => 'token' in ref && !own(tokens, ref.token) && !own(doc.tokens, ref.token),
    );
  for (let before = -1; before !== Object.keys(tokens).length;) {
    before = Object.keys(tokens).length;
    for (const [id, { value }] of Object.entries(tokens)) {
      if (!isLoose(value)) continue;
      delete tokens[id];
      left.push({ path: pointer(...(paths.get(id) ?? [])), reason: say('made-from-left') });
    }
  }
  for (const [id, theme] of Object.entries(themes))
    themes[id] = {
      ...theme,
      values: Object.fromEntries(
        Object.entries(theme.values).filter(
          ([token, value]) => !isLoose(value) && (own(tokens, token) ?? own(doc.tokens, token)),
        ),
      ),
    };
}
