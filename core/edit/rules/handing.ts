import { Type } from '@sinclair/typebox';
import {
  BLOCK_KEY,
  CHOSEN,
  docOf,
  nodeIn,
  own,
  pointer,
  readAt,
  type Documents,
  type TreeNode,
} from '../../model';
import { say } from '../../said';
import { declarationKey } from '../../style';
import { exact, Id } from '../args';
import { changeTo, type Change } from '../changes';
import { defineEdit, gone } from '../define';
import { named } from '../names';
import { withContainers } from './by-rule';
import type { Difference } from './differences';

/** By which members of a patch a difference is reached. */
const Saying = Type.Union([
  Type.Object({ of: Type.Literal('style'), key: Type.String({ pattern: BLOCK_KEY }) }, exact),
  Type.Object(
    { of: Type.Literal('attribute'), name: Type.String({ pattern: '^[a-z][a-z-]*$' }) },
    exact,
  ),
  Type.Object({ of: Type.Literal('value'), name: Id }, exact),
  Type.Object({ of: Type.Literal('shared'), style: Id }, exact),
  Type.Object(
    {
      of: Type.Union(
        (['text', 'shown', 'tag', 'theme'] as const).map((member) => Type.Literal(member)),
      ),
    },
    exact,
  ),
]);
type Saying = (typeof Saying)['static'];

/** One difference of a rule, so that an edit can name it. */
export function sayingOf(difference: Difference): Saying {
  switch (difference.of) {
    case 'style': {
      const { property, width, state } = difference;
      return { of: 'style', key: declarationKey(property, width, state) };
    }
    case 'attribute':
    case 'value':
      return { of: difference.of, name: difference.name };
    case 'shared':
      return { of: 'shared', style: difference.style };
    default:
      return { of: difference.of };
  }
}

/** The members of a patch, or of a node, that lead to what is said. */
function pathOf(saying: Saying): string[] {
  switch (saying.of) {
    case 'style':
      return ['style', saying.key];
    case 'attribute':
      return ['attributes', saying.name];
    case 'value':
      return ['values', saying.name];
    case 'shared':
      return ['shared', saying.style];
    default:
      return [saying.of];
  }
}

/**
 * Takes back what a rule says of something, all that it says of one thing, or hands it to the base or to another rule: then
 * it is said there, in the place of what that said.
 */
export const handDifferences = defineEdit({
  args: Type.Object(
    {
      component: Id,
      rule: Id,
      node: Id,
      sayings: Type.Array(Saying, { minItems: 1, maxItems: 500 }),
      to: Type.Union([
        Type.Literal('nobody'),
        Type.Literal('base'),
        Type.Object({ rule: Id }, exact),
      ]),
    },
    exact,
  ),
  run(documents, { component, rule, node, sayings, to }) {
    const doc = docOf(documents, 'component', component);
    const patch = doc && own(own(doc.rules, rule)?.patch ?? {}, node);
    const stored = nodeIn(documents, component, node);
    if (!patch || !stored) return gone('the-rule', component);
    if (typeof to === 'object' && !own(doc.rules, to.rule)) return gone('the-rule', component);
    const changes: Change[] = [];
    const put = (path: readonly string[], now: unknown) =>
      changes.push(...changeTo(documents, component, path, now));
    for (const saying of sayings) {
      const path = pathOf(saying);
      const said = readAt(patch, pointer(...path));
      if (said === undefined) return gone('the-difference', component);
      if (typeof to === 'object') put(['rules', to.rule, 'patch', node, ...path], said);
      if (to === 'base')
        changes.push(...intoNode(documents, component, node, stored, saying, said));
      put(['rules', rule, 'patch', node, ...path], undefined);
    }
    return withContainers(documents, changes);
  },
  told: (documents, { component, node, to }) =>
    say(
      to === 'nobody' ? 'took-difference-back' : to === 'base' ? 'gave-to-base' : 'gave-to-option',
      { what: named(documents, component, node) },
    ),
});

/** The changes by which a node says itself what a rule said of it. */
function intoNode(
  documents: Documents,
  component: string,
  node: string,
  stored: TreeNode,
  saying: Saying,
  said: unknown,
): Change[] {
  const where = ['nodes', node];
  const to = (path: readonly string[], now: unknown) =>
    changeTo(documents, component, [...where, ...path], now);
  if (stored.kind !== 'element' && stored.kind !== 'instance') return to(pathOf(saying), said);
  if (saying.of === 'shared') {
    const { [saying.style]: _, ...rest } = stored.shared ?? {};
    const now = said ? { ...rest, [saying.style]: true } : rest;
    return to(['shared'], Object.keys(now).length === 0 ? undefined : now);
  }
  if (saying.of !== 'tag' && saying.of !== 'theme') return to(pathOf(saying), said);
  // What a property chose, the node says by itself now.
  const rest = Object.fromEntries(
    CHOSEN.flatMap((what) => {
      const source = what === saying.of ? undefined : stored.chosen?.[what];
      return source ? [[what, source]] : [];
    }),
  );
  return [
    ...to([saying.of], said ?? undefined),
    ...to(['chosen'], Object.keys(rest).length === 0 ? undefined : rest),
  ];
}
