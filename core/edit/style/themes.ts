import { Type } from '@sinclair/typebox';
import {
  allOf,
  docOf,
  isTheme,
  nodeIn,
  OrderKey,
  own,
  pointer,
  PLAIN_THEME,
  type Documents,
} from '../../model';
import { say, type Told } from '../../said';
import { exact, Id, Label } from '../args';
import { changeTo, isRefusal, type Change } from '../changes';
import { defineEdit, gone, notStyled, refuse } from '../define';
import { valueOf } from './tokens';

/** Makes a theme that changes nothing yet. */
export const addTheme = defineEdit({
  args: Type.Object({ theme: Id, name: Label, order: OrderKey }, exact),
  run(documents, { theme, name, order }) {
    const { id, themes } = documents.tokens;
    if (isTheme(themes, theme)) return refuse(say('theme-id-taken'), id);
    return [
      ...(themes ? [] : changeTo(documents, id, ['themes'], {})),
      ...changeTo(documents, id, ['themes', theme], { name: name.trim(), order, values: {} }),
    ];
  },
  told: (_, { name }) => say('made-theme', { name }),
});

/** Names a theme, or moves it among the others. */
export const setTheme = defineEdit({
  args: Type.Object(
    {
      theme: Id,
      set: Type.Union([
        Type.Object({ name: Label }, exact),
        Type.Object({ order: OrderKey }, exact),
      ]),
    },
    exact,
  ),
  run(documents, { theme, set }) {
    const { id, themes = {} } = documents.tokens;
    if (!own(themes, theme)) return gone('the-theme', id);
    const [member, now] = Object.entries(set)[0]!;
    return changeTo(documents, id, ['themes', theme, member], now);
  },
  told: (documents, { theme, set }) =>
    'name' in set
      ? say('renamed-theme', { theme: themeName(documents, theme), name: set.name })
      : say('moved-theme', { theme: themeName(documents, theme) }),
});

/** Gives a token another value in a theme; `null` leaves it as it is. */
export const setInTheme = defineEdit({
  args: Type.Object(
    {
      theme: Id,
      token: Id,
      css: Type.Union([Type.String({ minLength: 1, maxLength: 500 }), Type.Null()]),
      tokens: Type.Optional(Type.Record(Id, Id, { ...exact, maxProperties: 20 })),
    },
    exact,
  ),
  run(documents, { theme, token, css, tokens }) {
    const { id, themes = {}, tokens: all } = documents.tokens;
    if (!own(themes, theme)) return gone('the-theme', id);
    const stored = own(all, token);
    if (!stored) return gone('the-token', id);
    const where = ['themes', theme, 'values', token];
    if (css === null) return changeTo(documents, id, where, undefined);
    const value = valueOf(documents, stored.type, css, tokens, pointer(...where));
    return isRefusal(value) ? value : changeTo(documents, id, where, value);
  },
  told(documents, { theme, token, css }) {
    const name = own(documents.tokens.tokens, token)?.name ?? say('a-token');
    return css === null
      ? say('left-in-theme', { token: name, theme: themeName(documents, theme) })
      : say('changed-in-theme', { token: name, theme: themeName(documents, theme) });
  },
});

/** Removes a theme, also from everything it was put on. */
export const removeTheme = defineEdit({
  args: Type.Object({ theme: Id }, exact),
  run(documents, { theme }) {
    const { id, themes = {} } = documents.tokens;
    if (!own(themes, theme)) return gone('the-theme', id);
    const changes: Change[] = [];
    for (const doc of documents)
      if (doc.kind === 'page' || doc.kind === 'component')
        for (const node in doc.nodes) {
          const stored = doc.nodes[node]!;
          if ('theme' in stored && stored.theme === theme)
            changes.push(...changeTo(documents, doc.id, ['nodes', node, 'theme'], undefined));
        }
    for (const { id: component, rules } of allOf(documents, 'component'))
      for (const rule in rules)
        for (const [node, patch] of Object.entries(rules[rule]!.patch))
          if (patch.theme === theme) {
            const where = ['rules', rule, 'patch', node, 'theme'];
            changes.push(...changeTo(documents, component, where, undefined));
          }
    if (documents.site.theme === theme)
      changes.push(...changeTo(documents, documents.site.id, ['theme'], undefined));
    return [...changes, ...changeTo(documents, id, ['themes', theme], undefined)];
  },
  told: (documents, { theme }) => say('removed-theme', { theme: themeName(documents, theme) }),
});

/** Begins a theme at some nodes; `null` leaves them in the one around them. */
export const putTheme = defineEdit({
  args: Type.Object(
    {
      doc: Id,
      nodes: Type.Array(Id, { minItems: 1, maxItems: 500 }),
      theme: Type.Union([Id, Type.Null()]),
    },
    exact,
  ),
  run(documents, { doc, nodes, theme }) {
    if (theme !== null && !isTheme(documents.tokens.themes, theme))
      return gone('the-theme', documents.tokens.id);
    const changes: Change[] = [];
    for (const node of new Set(nodes)) {
      const stored = nodeIn(documents, doc, node);
      if (stored?.kind !== 'element' && stored?.kind !== 'instance')
        return notStyled(stored, 'to-have-theme', doc);
      changes.push(...changeTo(documents, doc, ['nodes', node, 'theme'], theme ?? undefined));
    }
    return changes;
  },
  told: (documents, { theme, nodes }) => {
    const what =
      nodes.length === 1 ? say('something') : say('things-counted', { many: nodes.length });
    return theme === null
      ? say('left-theme-around', { what })
      : say('put-in-theme', { what, theme: themeName(documents, theme) });
  },
});

/** How people call a theme. */
export function themeName(documents: Documents, theme: string): Told {
  if (theme === PLAIN_THEME) return say('theme-plain');
  return own(documents.tokens.themes ?? {}, theme)?.name ?? say('gone-theme');
}

/** How people call a shared style. */
export function styleName(documents: Documents, style: string): Told {
  return docOf(documents, 'style', style)?.name ?? say('gone-style');
}
