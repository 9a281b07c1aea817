import { Type } from '@sinclair/typebox';
import {
  OrderKey,
  own,
  POINTER_PATTERN,
  pointer,
  readAt,
  TOKEN_GROUPS,
  TokenGroup,
  tokensOf,
  type Declared,
  type Documents,
  type Token,
} from '../../model';
import { say } from '../../said';
import { readTokenValue } from '../../style';
import { exact, Id, Label } from '../args';
import { changeTo, isRefusal, type Change, type Refusal } from '../changes';
import { defineEdit, gone, refuse } from '../define';
import { declaredWith } from '../soundness/tokens';
import { refsOfTokens } from './declaration';
import { inPlaceOf, writtenOut } from './token-refs';
import { withoutTokenAsValue } from './token-values';

/** A token's value as it was typed, and the tokens that placeholders in it stand for. */
const VALUE = {
  css: Type.String({ minLength: 1, maxLength: 500 }),
  tokens: Type.Optional(Type.Record(Id, Id, { ...exact, maxProperties: 20 })),
};

/** Makes a token, and puts it in the place of the same value wherever it is asked to. */
export const addToken = defineEdit({
  args: Type.Object(
    {
      token: Id,
      name: Label,
      group: TokenGroup,
      order: OrderKey,
      ...VALUE,
      /** Declarations that hold this value now: from then on, the token. */
      places: Type.Array(
        Type.Object(
          { doc: Id, path: Type.String({ maxLength: 1000, pattern: POINTER_PATTERN }) },
          exact,
        ),
        { maxItems: 5000 },
      ),
    },
    exact,
  ),
  run(documents, { token, name, group, order, css, tokens, places }) {
    const { id, tokens: held } = documents.tokens;
    if (own(held, token)) return refuse(say('token-id-taken'), id);
    const taken = nameTaken(documents, name, token);
    if (taken) return taken;
    const { type } = TOKEN_GROUPS[group];
    const value = valueOf(documents, type, css, tokens);
    if (isRefusal(value)) return value;
    const made: Token = { name: name.trim(), order, type, group, value };
    const changes = changeTo(documents, id, ['tokens', token], made);
    for (const { doc, path } of places) {
      const stands = readAt(documents.get(doc), path) as Declared | undefined;
      if (stands?.css !== value.css || stands.refs)
        return refuse(say('not-that-any-more', { css: value.css }), doc, path);
      if (type === 'border') return refuse(say('border-side-by-side'), doc, path);
      const declared: Declared = { css: 'var(--t)', refs: { t: { token, type } } };
      changes.push(...changeTo(documents, doc, tokensOf(path), declared));
    }
    return changes;
  },
  told: (_, { name, places }) =>
    places.length === 0
      ? say('made-token', { name })
      : say('made-token-of', { name, many: places.length }),
});

/** Changes one thing about a token. */
export const setToken = defineEdit({
  args: Type.Object(
    {
      token: Id,
      set: Type.Union([
        Type.Object({ name: Label }, exact),
        Type.Object({ order: OrderKey }, exact),
        Type.Object({ about: Type.String({ maxLength: 500 }) }, exact),
        Type.Object(VALUE, exact),
      ]),
    },
    exact,
  ),
  run(documents, { token, set }) {
    const { id, tokens } = documents.tokens;
    const stored = own(tokens, token);
    if (!stored) return gone('the-token', id);
    const to = (member: string, now: unknown) =>
      changeTo(documents, id, ['tokens', token, member], now);
    if ('name' in set) return nameTaken(documents, set.name, token) ?? to('name', set.name.trim());
    if ('order' in set) return to('order', set.order);
    if ('about' in set) return to('about', set.about.trim() || undefined);
    const value = valueOf(documents, stored.type, set.css, set.tokens, pointer('tokens', token));
    return isRefusal(value) ? value : to('value', value);
  },
  told(documents, { token, set }) {
    const name = own(documents.tokens.tokens, token)?.name ?? say('a-token');
    if ('name' in set) return say('renamed-token', { token: name, name: set.name });
    if ('order' in set) return say('moved-token', { token: name });
    return 'about' in set
      ? say('said-token-for', { token: name })
      : say('changed-token', { token: name });
  },
});

/** Removes a token: what is declared with it has another in its place, or its value written out. */
export const removeToken = defineEdit({
  args: Type.Object({ token: Id, instead: Type.Union([Id, Type.Null()]) }, exact),
  run(documents, { token, instead }) {
    const { id, tokens, themes = {} } = documents.tokens;
    const stored = own(tokens, token);
    if (!stored) return gone('the-token', id);
    if (instead === token) return refuse(say('token-in-own-place'), id);
    if (instead !== null && own(tokens, instead)?.type !== stored.type)
      return refuse(say('token-of-other-kind'), id);
    const changed = (declared: Declared) =>
      instead === null ? writtenOut(declared, token, stored) : inPlaceOf(declared, token, instead);
    const changes: Change[] = [];
    for (const { doc, where } of declaredWith(documents, new Set([token]))) {
      const declared = readAt(documents.get(doc), pointer(...where)) as Declared;
      changes.push(...changeTo(documents, doc, where, changed(declared)));
    }
    for (const other in tokens)
      if (other !== token)
        changes.push(
          ...changeTo(documents, id, ['tokens', other, 'value'], changed(tokens[other]!.value)),
        );
    for (const theme in themes)
      for (const other in themes[theme]!.values)
        changes.push(
          ...changeTo(
            documents,
            id,
            ['themes', theme, 'values', other],
            other === token ? undefined : changed(themes[theme]!.values[other]!),
          ),
        );
    return [
      ...changes,
      ...withoutTokenAsValue(documents, token, stored, instead),
      ...changeTo(documents, id, ['tokens', token], undefined),
    ];
  },
  told(documents, { token, instead }) {
    const name = (of: string) => own(documents.tokens.tokens, of)?.name ?? say('a-token');
    return instead === null
      ? say('removed-token-written', { token: name(token) })
      : say('removed-token-instead', { token: name(token), instead: name(instead) });
  },
});

/** A value as a token or a theme stores it, or why it cannot. */
export function valueOf(
  documents: Documents,
  type: Token['type'],
  css: string,
  tokens: Readonly<Record<string, string>> | undefined,
  path = '/tokens',
): Declared | Refusal {
  const { id } = documents.tokens;
  const refs = refsOfTokens(documents, tokens);
  if (typeof refs === 'string') return gone('the-token', id);
  const read = readTokenValue(type, css, refs);
  return read.ok ? read.value : refuse(read.reason, id, path);
}

/** Names are what people type to mean a token: no two are the same, however written. */
function nameTaken(documents: Documents, name: string, but: string): Refusal | undefined {
  const { id, tokens } = documents.tokens;
  const wanted = name.trim().toLowerCase();
  if (wanted === '') return refuse(say('token-has-name'), id);
  if (/[{}]/.test(wanted)) return refuse(say('token-name-braces'), id);
  const other = Object.keys(tokens).find(
    (each) => each !== but && tokens[each]!.name.toLowerCase() === wanted,
  );
  return other === undefined
    ? undefined
    : refuse(say('token-name-taken', { name: tokens[other]!.name }), id, pointer('tokens', other));
}
