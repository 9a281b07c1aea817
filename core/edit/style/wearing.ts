import { Type } from '@sinclair/typebox';
import { allOf, docOf, nodeIn, own, type Documents, type StyleDoc } from '../../model';
import { say } from '../../said';
import { exact, Id } from '../args';
import { changeTo, type Change } from '../changes';
import { defineEdit, gone, notStyled, refuse } from '../define';
import { styleName } from './themes';

/** Puts a shared style on nodes, or takes it off; a modifier goes with its base. */
export const wear = defineEdit({
  args: Type.Object(
    {
      doc: Id,
      nodes: Type.Array(Id, { minItems: 1, maxItems: 500 }),
      style: Id,
      on: Type.Boolean(),
    },
    exact,
  ),
  run(documents, { doc, nodes, style, on }) {
    const stored = docOf(documents, 'style', style);
    if (!stored) return gone('the-shared-style', style);
    const changes: Change[] = [];
    for (const node of new Set(nodes)) {
      const wearer = nodeIn(documents, doc, node);
      if (wearer?.kind !== 'element' && wearer?.kind !== 'instance')
        return notStyled(wearer, 'to-have-style', doc);
      const worn = wearer.shared ?? {};
      if (on && stored.base !== null && !own(worn, stored.base))
        return refuse(
          say('base-first', { style: stored.name, base: styleName(documents, stored.base) }),
          doc,
        );
      const now = on ? { ...worn, [style]: true as const } : without(documents, worn, style);
      const left = Object.keys(now).length > 0 ? now : undefined;
      changes.push(...changeTo(documents, doc, ['nodes', node, 'shared'], left));
    }
    return changes;
  },
  told(documents, { doc, style, on, nodes }) {
    const what = nodes.length === 1 ? 'something' : say('things-counted', { many: nodes.length });
    const name = styleName(documents, style);
    if (on) return say('put-on', { style: name, what });
    const modifiers = modifiersWorn(documents, doc, nodes, style);
    return modifiers.length === 0
      ? say('took-off', { style: name, what })
      : say('took-off-with', {
          style: name,
          what,
          modifiers: modifiers.map((each) => styleName(documents, each)),
        });
  },
});

/** Puts one shared style in the place of another wherever that is on. */
export const exchangeStyle = defineEdit({
  args: Type.Object({ style: Id, instead: Id }, exact),
  run(documents, { style, instead }) {
    const other = docOf(documents, 'style', instead);
    if (!docOf(documents, 'style', style) || !other) return gone('the-shared-style', style);
    // What modifies another is on together with it, and with what that modifies.
    const chain: Record<string, true> = {};
    for (let at: StyleDoc | undefined = other; at && !own(chain, at.id);) {
      chain[at.id] = true;
      at = at.base === null ? undefined : docOf(documents, 'style', at.base);
    }
    return [
      ...wearersOf(documents, style).flatMap(({ doc, node, shared }) =>
        changeTo(documents, doc, ['nodes', node, 'shared'], {
          ...without(documents, shared, style),
          ...chain,
        }),
      ),
      ...rulesSaying(documents, style).flatMap(({ doc, where, shared }) =>
        changeTo(documents, doc, where, {
          ...without(documents, shared, style),
          ...(shared[style] ? chain : { [instead]: false }),
        }),
      ),
    ];
  },
  told: (documents, { style, instead }) =>
    say('put-style-in-place', {
      style: styleName(documents, instead),
      of: styleName(documents, style),
    }),
});

/** What is worn without a style and everything that modifies it. */
function without<T>(
  documents: Documents,
  worn: Readonly<Record<string, T>>,
  style: string,
): Record<string, T> {
  const goes = (each: string): boolean => {
    if (each === style) return true;
    const base = docOf(documents, 'style', each)?.base ?? null;
    return base !== null && goes(base);
  };
  return Object.fromEntries(Object.entries(worn).filter(([each]) => !goes(each)));
}

/** What goes with a shared style when it is taken off nodes: the modifiers of it that they have on. */
export function modifiersWorn(
  documents: Documents,
  doc: string,
  nodes: readonly string[],
  style: string,
): string[] {
  const all = new Set<string>();
  for (const node of nodes) {
    const wearer = nodeIn(documents, doc, node);
    if (wearer?.kind !== 'element' && wearer?.kind !== 'instance') continue;
    const left = without(documents, wearer.shared ?? {}, style);
    for (const each in wearer.shared) if (each !== style && !own(left, each)) all.add(each);
  }
  return [...all].sort();
}

/** What of the styles that something has on modifies one of them, however far. */
export function modifiersOn(
  documents: Documents,
  worn: Readonly<Record<string, boolean>>,
  style: string,
): string[] {
  const on = Object.keys(worn).filter((each) => worn[each]);
  const left = without(documents, Object.fromEntries(on.map((each) => [each, true])), style);
  return on.filter((each) => each !== style && !own(left, each)).sort();
}

/** Something that has a shared style on. */
export interface Wearer {
  readonly doc: string;
  readonly node: string;
  readonly shared: Readonly<Record<string, true>>;
}

/** Everything that has a shared style on. */
export function wearersOf(documents: Documents, style: string): Wearer[] {
  const trees = [...allOf(documents, 'page'), ...allOf(documents, 'component')];
  return trees.flatMap(({ id, nodes }) =>
    Object.keys(nodes).flatMap((node) => {
      const stored = nodes[node]!;
      if (stored.kind !== 'element' && stored.kind !== 'instance') return [];
      return stored.shared && own(stored.shared, style)
        ? [{ doc: id, node, shared: stored.shared }]
        : [];
    }),
  );
}

/** What a rule of a definition says of shared styles, one of them among these, and where that stands. */
export interface SayingOfStyle {
  readonly doc: string;
  readonly where: readonly string[];
  readonly shared: Readonly<Record<string, boolean>>;
}

/** All rules that put a shared style on something, or take it off. */
export function rulesSaying(documents: Documents, style: string): SayingOfStyle[] {
  return allOf(documents, 'component').flatMap(({ id, rules }) =>
    Object.keys(rules).flatMap((rule) =>
      Object.entries(rules[rule]!.patch).flatMap(([node, { shared }]) =>
        shared && own(shared, style) !== undefined
          ? [{ doc: id, where: ['rules', rule, 'patch', node, 'shared'], shared }]
          : [],
      ),
    ),
  );
}
