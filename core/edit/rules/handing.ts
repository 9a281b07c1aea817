import { Type } from '@sinclair/typebox';
import {
  BLOCK_KEY,
  docOf,
  nodeIn,
  own,
  pointer,
  readAt,
  type Documents,
  type Patch,
  type TreeNode,
} from '../../model';
import { say } from '../../said';
import { declarationKey } from '../../style';
import { exact, Id } from '../args';
import { changeTo, type Change } from '../changes';
import { defineEdit, gone } from '../define';
import { named } from '../names';
import { withContainers } from './by-rule';
import { withPatch } from './in-variant';
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
      if (to === 'base' && !isOfLook(saying)) put(['nodes', node, ...path], said);
      put(['rules', rule, 'patch', node, ...path], undefined);
    }
    if (to === 'base') {
      const look = sayings.filter(isOfLook);
      changes.push(...intoLook(documents, component, node, stored, patch, look));
    }
    return withContainers(documents, changes);
  },
  told: (documents, { component, node, to }) =>
    say(
      to === 'nobody' ? 'took-difference-back' : to === 'base' ? 'gave-to-base' : 'gave-to-option',
      { what: named(documents, component, node) },
    ),
});

/** Tags, themes and shared styles stand in a node otherwise than in a rule. */
function isOfLook({ of }: Saying): boolean {
  return of === 'tag' || of === 'theme' || of === 'shared';
}

/** The changes by which a node says itself what a rule said of its look. */
function intoLook(
  documents: Documents,
  component: string,
  id: string,
  stored: TreeNode,
  patch: Patch,
  sayings: readonly Saying[],
): Change[] {
  if (sayings.length === 0 || (stored.kind !== 'element' && stored.kind !== 'instance')) return [];
  const { shared = {}, ...rest } = patch;
  const said = Object.fromEntries(
    sayings.flatMap((each) => (each.of === 'shared' ? [[each.style, shared[each.style]!]] : [])),
  );
  const has = (of: Saying['of']) => sayings.some((each) => each.of === of);
  const now = withPatch(stored, {
    ...(has('tag') && rest.tag !== undefined ? { tag: rest.tag } : {}),
    ...(has('theme') && rest.theme !== undefined ? { theme: rest.theme } : {}),
    ...(Object.keys(said).length > 0 ? { shared: said } : {}),
  }) as Readonly<Record<string, unknown>>;
  return ['tag', 'theme', 'shared', 'chosen'].flatMap((member) =>
    changeTo(documents, component, ['nodes', id, member], now[member]),
  );
}
