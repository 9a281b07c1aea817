import {
  nodeIn,
  orderBetween,
  own,
  type Documents,
  type ElementNode,
  type NodeId,
  type Source,
} from '../../model';
import { declarationKey } from '../../style';
import type { NamedEdit } from '../edits';
import { groundOf } from './ground';

/** What is laid over a picture so that words on it are read: darker towards the bottom, where they mostly stand. */
export const VEIL = 'linear-gradient(#0000,#000b)';

/**
 * How a veil comes over what is selected. A picture of its own (`img`) shows nothing that lies behind it, so either a
 * veil is laid `over` it, both in one box, or it becomes the `ground` of a box, under the veil. What has a picture behind it
 * keeps that `below` the veil.
 */
export type VeilWay = 'over' | 'ground' | 'below';

/** The ways in which a veil can come over a node, the likeliest first. */
export function veilWays(documents: Documents, doc: string, node: NodeId): readonly VeilWay[] {
  const stored = nodeIn(documents, doc, node);
  if (stored?.kind === 'element' && stored.tag === 'img')
    return stored.place.parent === null ? [] : ['over', 'ground'];
  return stored?.kind === 'element' || stored?.kind === 'instance' ? ['below'] : [];
}

/**
 * The edits that lay a veil over a node, to be done as one step.
 * @param made ids that are free, for the box and the veil in it
 */
export function veilEdits(
  documents: Documents,
  { doc, node, width }: { doc: string; node: NodeId; width: string },
  way: VeilWay,
  made: readonly [NodeId, NodeId],
): NamedEdit[] {
  const stored = nodeIn(documents, doc, node);
  if (stored?.kind !== 'element' && stored?.kind !== 'instance') return [];
  const [box, veil] = made;
  const declare = (nodes: NodeId[], property: string, css: string, at = 'base'): NamedEdit => ({
    name: 'declare',
    args: { doc, nodes, property, width: at, css },
  });
  const setGround = (nodes: NodeId[], source: Source, at: string): NamedEdit => ({
    name: 'setGround',
    args: { doc, nodes, width: at, ground: { source, veil: VEIL } },
  });
  const around: NamedEdit = { name: 'wrap', args: { doc, nodes: [node], box, tag: 'div' } };
  if (way === 'below') {
    const keys = [width, 'base'].map((at) => declarationKey('background-image', at));
    const ground = keys
      .map((key) => groundOf(own(stored.style, key)))
      .find((each) => each !== undefined);
    return ground
      ? [setGround([node], ground.source, width)]
      : [declare([node], 'background-image', VEIL, width)];
  }
  const source = stored.kind === 'element' ? own(stored.attributes, 'src') : undefined;
  if (way === 'ground')
    return source === undefined
      ? []
      : [
          around,
          setGround([box], source, 'base'),
          // As high as such a picture mostly is, until something stands on it (common practice, no published source).
          declare([box], 'aspect-ratio', '3/2'),
          { name: 'remove', args: { doc, nodes: [node] } },
        ];
  const layer: ElementNode = {
    kind: 'element',
    name: 'Veil',
    place: { parent: box, order: orderBetween(stored.place.order, null) },
    tag: 'div',
    attributes: {},
    style: {},
  };
  return [
    around,
    { name: 'place', args: { doc, root: veil, nodes: { [veil]: layer } } },
    declare([box], 'display', 'grid'),
    // Both in the one cell that there is: the later lies over the earlier (CSS Grid Layout 2, 4.3 and 17).
    declare([node, veil], 'grid-area', '1/1'),
    declare([veil], 'background-image', VEIL),
  ];
}
