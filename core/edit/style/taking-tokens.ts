import { Type } from '@sinclair/typebox';
import { allOf, own, StyleDoc, Theme, Token } from '../../model';
import { say } from '../../said';
import { exact, Id } from '../args';
import { changeTo, type Change } from '../changes';
import { defineEdit, refuse } from '../define';

/** Takes tokens, themes and shared styles in as they were read from a file: all of them or none. */
export const takeTokens = defineEdit({
  args: Type.Object(
    {
      tokens: Type.Record(Id, Token, { ...exact, maxProperties: 2000 }),
      themes: Type.Record(Id, Theme, { ...exact, maxProperties: 50 }),
      /** Shared styles: one that the site has says then what this one says. */
      styles: Type.Optional(Type.Array(StyleDoc, { maxItems: 500 })),
    },
    exact,
  ),
  run(documents, { tokens, themes, styles = [] }) {
    const { id, tokens: held, themes: known } = documents.tokens;
    const changes: Change[] = [];
    for (const token in tokens) {
      const before = own(held, token);
      if (before && before.type !== tokens[token]!.type)
        return refuse(
          say('token-holds-else', { token: before.name, would: tokens[token]!.name }),
          id,
        );
      changes.push(...changeTo(documents, id, ['tokens', token], tokens[token]));
    }
    const names = new Map<string, string>();
    for (const [token, { name }] of Object.entries({ ...held, ...tokens })) {
      const other = names.get(name.toLowerCase());
      if (other !== undefined) return refuse(say('two-tokens-called', { name }), id);
      names.set(name.toLowerCase(), token);
    }
    if (!known && Object.keys(themes).length > 0)
      changes.push(...changeTo(documents, id, ['themes'], {}));
    for (const theme in themes)
      changes.push(...changeTo(documents, id, ['themes', theme], themes[theme]));
    for (const style of styles) {
      const before = documents.get(style.id);
      if (before && before.kind !== 'style') return refuse(say('id-taken'), style.id);
      if (before) changes.push(...changeTo(documents, style.id, ['style'], style.style));
      else if (allOf(documents, 'style').some((each) => sameName(each, style)))
        return refuse(say('style-name-taken', { name: style.name }), style.id);
      else changes.push({ doc: style.id, path: '', now: style });
    }
    return changes;
  },
  told: (_, { tokens }) => say('took-in-tokens', { many: Object.keys(tokens).length }),
});

function sameName(a: StyleDoc, b: StyleDoc): boolean {
  return a.name.toLowerCase() === b.name.toLowerCase();
}
