import { Type } from '@sinclair/typebox';
import {
  chainOf,
  childrenOf,
  docOf,
  type Documents,
  type Literal,
  literal,
  NONE,
  own,
  placesFrom,
  repeatRead,
  rootOf,
  Source,
  sourcesOf,
  treeDocOf,
  TEXT,
  type TreeNode,
  withDescendants,
  withSources,
  yesNo,
  type NodeId,
} from '../../model';
import type { Control } from '../../resolve';
import { say } from '../../said';
import { positionAs } from '../../value';
import { exact, Id } from '../args';
import { type Change, change, changeTo } from '../changes';
import { controlType, emptyLiteral, giveControl } from '../control';
import { defineEdit, gone, refuse } from '../define';
import { named } from '../names';
import { recordsOf } from './over';
import { whatFits } from './what-fits';

/** How many entries a new repeat shows. */
const FIRST_LIMIT = 6;

/**
 * Turns what is selected into a repeat over a content type, or over a list that can be read there: it shows once for each
 * entry or record, and what fits is bound.
 */
export const repeatThis = defineEdit({
  args: Type.Object(
    {
      doc: Id,
      node: Id,
      repeat: Id,
      type: Type.Optional(Id),
      /** Where the records come from, in place of a content type. */
      list: Type.Optional(Source),
    },
    exact,
  ),
  run(documents, { doc, node, repeat, type, list }) {
    const tree = treeDocOf(documents, doc);
    const stored = tree && own(tree.nodes, node);
    if (!tree || !stored) return gone('to-be-repeated', doc);
    const from = list ? { list } : { type: type ?? '' };
    const records = recordsOf(documents, tree, node, from);
    if (!records) return list ? refuse(say('list-unreadable'), doc) : gone('the-content-type', doc);
    if (node === rootOf(tree.nodes)) return refuse(say('root-stands-once'), doc, `/nodes/${node}`);
    if (own(tree.nodes, repeat)) return refuse(say('ids-taken'), doc);
    if (stored.kind !== 'element' && stored.kind !== 'instance')
      return refuse(say('only-placed-repeats'), doc);
    return [
      change(doc, `/nodes/${repeat}`, undefined, {
        kind: 'repeat',
        place: stored.place,
        query: {
          from,
          where: {},
          // Records of a list stand in their own order.
          order: list ? {} : { first: { path: [records.title], descending: false, order: 'a0' } },
          ...(list ? {} : { limit: literal({ type: 'number', value: FIRST_LIMIT }) }),
        },
      }),
      ...changeTo(documents, doc, ['nodes', node, 'place'], { parent: repeat, order: 'a0' }),
      ...whatFits(documents, tree, node, records, { repeat }).flatMap(({ row, source }) =>
        giveControl(documents, doc, row.node, row.control, source),
      ),
    ];
  },
  told(documents, { doc, node, type, list }) {
    const tree = treeDocOf(documents, doc);
    const records =
      tree && recordsOf(documents, tree, node, list ? { list } : { type: type ?? '' });
    return say('made-repeat', {
      what: named(documents, doc, node),
      over: records?.plural.toLowerCase() ?? 'entries',
    });
  },
});

/**
 * Takes a repeat away: what it repeated stands there once, and holds what it showed for one entry. What stood there for
 * none goes.
 */
export const repeatNoMore = defineEdit({
  args: Type.Object({ doc: Id, node: Id, entry: Type.Union([Id, Type.Null()]) }, exact),
  run(documents, { doc, node, entry }) {
    const tree = treeDocOf(documents, doc);
    const stored = tree && own(tree.nodes, node);
    if (!tree || !stored) return gone('the-repeat', doc);
    if (stored.kind !== 'repeat') return refuse(say('no-repeat'), doc);
    const values = entry === null ? undefined : docOf(documents, 'entry', entry)?.values;
    const children = childrenOf(tree.nodes);
    const staying = children.of(node);
    const places = placesFrom(tree.nodes, stored.place, staying.length);
    const changes: Change[] = [];
    const held = (source: Source, byDefault: Literal): Source =>
      withSources(source, (each) => {
        if (repeatRead(each) !== node) return each;
        // Alone it is the only one, and everything begins with it.
        if (each.is === 'begins') return yesNo(true);
        if (each.is === 'position') return { is: 'value', ...positionAs(each.as, ALONE) };
        const { path } = each as FieldSource;
        const value = path.length === 1 ? own(values ?? {}, path[0]!) : undefined;
        return value ? { is: 'value', ...value } : byDefault;
      });
    staying.forEach((child, i) =>
      changes.push(...changeTo(documents, doc, ['nodes', child, 'place'], places[i])),
    );
    for (const id of staying.flatMap((child) => withDescendants(tree.nodes, child)))
      for (const [path, source] of sourcesOf(tree.nodes[id]!)) {
        if (!readsRepeat(source, node)) continue;
        const now = held(source, emptyAt(documents, tree.nodes[id]!, path));
        changes.push(...changeTo(documents, doc, ['nodes', id, ...path], now));
      }
    const none = children.of(node, NONE).flatMap((child) => withDescendants(tree.nodes, child));
    for (const id of [...none].reverse())
      changes.push(...changeTo(documents, doc, ['nodes', id], undefined));
    changes.push(...changeTo(documents, doc, ['nodes', node], undefined));
    return changes;
  },
  told: (documents, { doc, node }) => say('took-back', { what: named(documents, doc, node) }),
});

function readsRepeat(source: Source, repeat: NodeId): boolean {
  return chainOf(source).some((each) => repeatRead(each) === repeat);
}

type FieldSource = Extract<Source, { is: 'field' }>;

const ALONE = { at: 1, of: 1 };

/** What stands at a place of a node when nothing does. */
function emptyAt(documents: Documents, node: TreeNode, [member, name]: readonly string[]): Literal {
  const control: Control | undefined =
    member === 'text' || member === 'shown'
      ? { of: member }
      : member === 'attributes'
        ? { of: 'attribute', name: name! }
        : member === 'values'
          ? { of: 'value', property: name! }
          : undefined;
  const type = control && controlType(documents, node, control);
  return emptyLiteral(type ?? TEXT);
}
