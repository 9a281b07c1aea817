import { Type } from '@sinclair/typebox';
import {
  childrenOf,
  docOf,
  newId,
  nodeIn,
  own,
  pointer,
  treeDocOf,
  withDescendants,
  type Documents,
  type NodeId,
} from '../../../model';
import { say, type Said } from '../../../said';
import { exact, Id } from '../../args';
import { change, type Change, type Refusal } from '../../changes';
import { defineEdit, gone, refuse } from '../../define';
import { componentName } from '../../names';
import { CannotBePlain } from './cannot-be-plain';
import type { InstanceHere } from './instance-here';
import { PlainNodes } from './plain-nodes';

/** A node of a definition, behind the records of lists it is made for: `record/node`. */
const COPY = '^[a-z][a-z0-9-]*(/[a-z][a-z0-9-]*)*$';

/**
 * Makes an instance plain elements: what its definition says of it stands here from then on, with the values that it has.
 * Later changes to the definition reach it no more.
 */
export const makePlain = defineEdit({
  args: Type.Object(
    {
      doc: Id,
      node: Id,
      /** New ids for the nodes of the definition, by theirs; behind the records of lists for which they stand. */
      ids: Type.Record(Type.String({ pattern: COPY, maxLength: 400 }), Id, {
        ...exact,
        maxProperties: 5000,
      }),
    },
    exact,
  ),
  run(documents, { doc, node, ids }) {
    const instance = nodeIn(documents, doc, node);
    if (instance?.kind !== 'instance') return gone('the-instance', doc);
    const component = docOf(documents, 'component', instance.component);
    if (!component) return gone('the-component', instance.component);
    const here = { documents, doc, node, instance, component };
    return plainOf(
      here,
      (copy) => own(ids, copy),
      changesTo,
      (reason) => refuse(reason, doc),
    );
  },
  told(documents, { doc, node }) {
    const stored = nodeIn(documents, doc, node);
    return say('made-plain', {
      what:
        stored?.kind === 'instance'
          ? componentName(documents, stored.component)
          : say('an-instance'),
    });
  },
});

/** New ids for all that an instance becomes when it is made plain, as the edit takes them. */
export function idsWhenPlain(
  documents: Documents,
  doc: string,
  node: NodeId,
  makeId: () => string = newId,
): Record<string, string> {
  const ids: Record<string, string> = {};
  const instance = nodeIn(documents, doc, node);
  const component =
    instance?.kind === 'instance' ? docOf(documents, 'component', instance.component) : undefined;
  if (instance?.kind !== 'instance' || !component) return ids;
  const here = { documents, doc, node, instance, component };
  // Where it cannot be made plain, the edit says so; so far as it goes, it has its ids.
  return plainOf(
    here,
    (copy) => (ids[copy] ??= makeId()),
    () => ids,
    () => ids,
  );
}

/** What an instance becomes, or why it cannot. */
function plainOf<Made, Not>(
  here: InstanceHere,
  newIdFor: (copy: string) => string | undefined,
  made: (here: InstanceHere, plain: PlainNodes) => Made,
  not: (reason: Said) => Not,
): Made | Not {
  try {
    return made(here, new PlainNodes(here, newIdFor));
  } catch (error) {
    if (error instanceof CannotBePlain) return not(error.said);
    throw error;
  }
}

function changesTo(
  { documents, doc, node, instance }: InstanceHere,
  { grown, moved, root }: PlainNodes,
): Change[] | Refusal {
  const { nodes } = treeDocOf(documents, doc)!;
  if (instance.place.parent === null && root?.kind === 'text')
    return refuse(say('root-is-placed'), doc);
  // What fills a slot that is gone goes with the instance; undo brings it back.
  const lost = childrenOf(nodes)
    .all(node)
    .filter((each) => !moved[each])
    .flatMap((each) => withDescendants(nodes, each));
  const at = (id: NodeId, ...rest: string[]) => pointer('nodes', id, ...rest);
  return [
    ...lost.reverse().map((each) => change(doc, at(each), nodes[each], undefined)),
    change(doc, at(node), instance, undefined),
    ...Object.entries(grown).map(([id, now]) => change(doc, at(id), undefined, now)),
    ...Object.entries(moved).map(([id, now]) =>
      change(doc, at(id, 'place'), nodes[id]!.place, now.place),
    ),
  ];
}
