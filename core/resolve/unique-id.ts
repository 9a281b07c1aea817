import {
  own,
  referredIn,
  repeatsAround,
  sameJson,
  writtenIn,
  type NodeId,
  type Tree,
} from '../model';
import { Later, type Result } from '../value';
import type { Scope, Within } from './scope';

/**
 * Ids that nothing else on a page has, of elements that attributes name: made of the way down to each, so that they are the same
 * wherever a page is written. An element that is gone has none; nor has one that stands in a repeat which the attribute does not
 * stand in: no one element is meant.
 */
export function uniqueIds(nodes: readonly NodeId[], scope: Scope): Result {
  const ids = nodes.flatMap((node) => {
    const parts = uniqueId(node, scope);
    return parts ? [parts] : [];
  });
  if (ids.length === 0) return null;
  const said = (ofRound: (depth: number) => string): string =>
    ids
      .map((parts) =>
        parts
          .map((part) => (typeof part === 'number' ? ofRound(part) : part))
          .join('.')
          .replace(/[^\w.-]+/g, '.'),
      )
      .join(' ');
  if (ids.every((parts) => parts.every((part) => typeof part === 'string')))
    return { type: 'text', value: said(() => '') };
  return new Later(
    (run) => ({ type: 'text', value: said((depth) => run.items[depth]!.id) }),
    false,
  );
}

/** The way down to an element; of repeats that are known only when a page is written, how deep they stand. */
function uniqueId(node: NodeId, scope: Scope): (string | number)[] | undefined {
  const target = own(scope.tree.nodes, node);
  if (!target) return undefined;
  const typed = target.kind === 'element' ? writtenIn(target.attributes['id'])?.value : undefined;
  // An id that somebody thought of is the one by which it is found.
  if (typeof typed === 'string' && typed !== '' && !referredIn(typed)) return [typed];
  const around = repeatsAround(scope.tree, node);
  const rounds = new Set<NodeId>();
  for (let at: Within | null = scope.within; at && at.entry !== undefined; at = at.parent)
    rounds.add(at.node);
  for (const repeat of around) {
    if (rounds.has(repeat)) continue;
    // Of two repeats of the same items, as tabs and what they show, the round of the same item is meant.
    const twin = [...rounds].find(
      (each) => !around.includes(each) && haveSameItems(scope.tree.nodes, each, repeat),
    );
    if (twin === undefined) return undefined;
    rounds.delete(twin);
  }
  const parts: (string | number)[] = [node];
  let { depth } = scope;
  for (let at: Within | null = scope.within; at; at = at.parent) {
    if (at.entry === '') depth -= 1;
    // Rounds of repeats that only the attribute stands in are no part of the way.
    const isRound = at.entry !== undefined && at.doc === scope.tree.id;
    if (isRound && rounds.has(at.node) && !around.includes(at.node)) continue;
    parts.push(at.entry === undefined ? at.node || at.doc : at.entry === '' ? depth : at.entry);
  }
  return parts.reverse();
}

function haveSameItems(nodes: Tree, a: NodeId, b: NodeId): boolean {
  const [one, other] = [nodes[a], nodes[b]];
  return one?.kind === 'repeat' && other?.kind === 'repeat' && sameJson(one.query, other.query);
}
