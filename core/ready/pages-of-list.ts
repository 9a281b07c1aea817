import {
  placeAt,
  childrenOf,
  text,
  type LeafAs,
  type LeafSource,
  type NodeId,
  type Tree,
} from '../model';
import { plant } from './branches';

/** Elements in which nothing but what they list may stand. */
const LISTS: ReadonlySet<string> = new Set(['ul', 'ol', 'dl', 'tbody', 'table', 'select', 'menu']);

/**
 * Links to the page before and the next of a list that is divided over several, with which of how many this is, below the
 * list: shown where there are several, each link where there is such a page.
 */
export function pagesOfList(nodes: Tree, repeat: NodeId): { root: NodeId; nodes: Tree } {
  const read = (as: LeafAs): LeafSource => ({ is: 'leaf', repeat, as });
  return plant(
    {
      tag: 'nav',
      name: 'Pages of the list',
      attributes: { 'aria-label': text('Pages') },
      shown: { is: 'expression', cel: 'count > 1.0', names: { count: read('count') } },
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
    },
    below(nodes, repeat),
  );
}

/** Behind a node, or behind the list that it stands in. */
function below(nodes: Tree, id: NodeId): ReturnType<typeof placeAt> {
  const { parent, slot } = nodes[id]!.place;
  const around = parent === null ? undefined : nodes[parent];
  if (parent === null || (around?.kind === 'element' && LISTS.has(around.tag)))
    return parent === null ? placeAt(nodes, id, Infinity) : below(nodes, parent);
  const beside = childrenOf(nodes).of(parent, slot);
  return placeAt(nodes, parent, beside.indexOf(id) + 1, slot);
}
