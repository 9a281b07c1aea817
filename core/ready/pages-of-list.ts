import {
  childrenOf,
  docOf,
  placeAt,
  text,
  type Documents,
  type LeafAs,
  type LeafSource,
  type NodeId,
  type Place,
  type Tree,
  type TreeNode,
} from '../model';
import { blockOf } from '../style';
import { plant, type Branch } from './branches';

/** Elements in which nothing but what they list may stand. */
const LISTS: ReadonlySet<string> = new Set(['ul', 'ol', 'dl', 'tbody', 'table', 'select', 'menu']);

/**
 * Links to the page before and the next of a list that is divided over several, with which of how many this is: shown where
 * there are several, each link where there is such a page.
 */
export function pagesBranch(repeat: NodeId): Branch {
  const read = (as: LeafAs): LeafSource => ({ is: 'leaf', repeat, as });
  return {
    tag: 'nav',
    name: 'Pages of the list',
    attributes: { 'aria-label': text('Pages') },
    shown: { is: 'expression', cel: 'count > 1.0', names: { count: read('count') } },
    style: blockOf({
      display: 'flex',
      'flex-wrap': 'wrap',
      'row-gap': '8px',
      'column-gap': '24px',
      'margin-top': '24px',
    }),
    children: [
      {
        tag: 'a',
        name: 'To the page before',
        attributes: { href: { ...read('before'), whenEmpty: 'hide' }, rel: text('prev') },
        text: 'Previous',
      },
      {
        tag: 'span',
        name: 'Which page',
        text: {
          is: 'words',
          of: 'text',
          pieces: ['Page ', { place: 'number' }, ' of ', { place: 'count' }],
          names: { number: read('number'), count: read('count') },
        },
      },
      {
        tag: 'a',
        name: 'To the next page',
        attributes: { href: { ...read('next'), whenEmpty: 'hide' }, rel: text('next') },
        text: 'Next',
      },
    ],
  };
}

/** The same, planted below the list. */
export function pagesOfList(
  documents: Documents,
  nodes: Tree,
  repeat: NodeId,
): { root: NodeId; nodes: Tree } {
  return plant(pagesBranch(repeat), below(documents, nodes, repeat));
}

/** Behind a node, or behind the list that it stands in: an element, or an instance whose slot is in one. */
function below(documents: Documents, nodes: Tree, id: NodeId): Place {
  const { parent, slot } = nodes[id]!.place;
  if (parent === null) return placeAt(nodes, id, Infinity);
  if (isList(documents, nodes[parent]!, slot)) return below(documents, nodes, parent);
  const beside = childrenOf(nodes).of(parent, slot);
  return placeAt(nodes, parent, beside.indexOf(id) + 1, slot);
}

/** Whether what stands in a node, in one of its slots, stands in a list. */
function isList(documents: Documents, node: TreeNode, slot: string | undefined): boolean {
  if (node.kind === 'element') return LISTS.has(node.tag);
  const inner = node.kind === 'instance' && docOf(documents, 'component', node.component);
  if (!inner || slot === undefined) return false;
  return Object.values(inner.nodes).some((each) => {
    if (each.kind !== 'slot' || each.slot !== slot || each.place.parent === null) return false;
    return isList(documents, inner.nodes[each.place.parent]!, each.place.slot);
  });
}
