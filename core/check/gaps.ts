import {
  childrenOf,
  docOf,
  type Documents,
  NONE,
  type NodeId,
  own,
  rootOf,
  sameJson,
  type Source,
  type TreeDoc,
  type TreeNode,
} from '../model';
import { keyParts } from '../style';

/** A wrapper that keeps its room when the only thing in it is not shown. */
export interface GapFinding {
  readonly wrapper: NodeId;
  readonly content: NodeId;
  /** By what its content is shown or not; with the same the wrapper goes along. */
  readonly shown: Source;
}

/** Declarations by which an element takes room though nothing is in it, or is part of a row of things set apart. */
const TAKES_ROOM =
  /^(padding|margin|border(-(top|right|bottom|left|inline|block).*)?(-width)?$|(min-)?(height|width|block-size|inline-size)|aspect-ratio)/;
const SETS_APART = /^(row-|column-)?gap$/;

/**
 * The wrappers of a page or definition that leave a gap behind: all they hold is one element or instance that may not be
 * shown, or a repeat over a list that may be empty; they are always shown themselves, and they take room, or stand among things that are set apart (common
 * practice, no published source).
 */
export function gapsIn(documents: Documents, doc: TreeDoc): GapFinding[] {
  const { nodes } = doc;
  const children = childrenOf(nodes);
  const root = rootOf(nodes);
  const findings: GapFinding[] = [];
  for (const [wrapper, node] of Object.entries(nodes)) {
    if (node.kind !== 'element' || wrapper === root) continue;
    const [content, ...others] = children.all(wrapper);
    const inside = content === undefined ? undefined : nodes[content];
    if (!inside || others.length > 0) continue;
    const shown = shownBy(nodes, content!, inside);
    if (!shown || isAlways(shown) || sameJson(shown, node.shown ?? null)) continue;
    const parent = node.place.parent === null ? undefined : own(nodes, node.place.parent);
    if (
      !declares(documents, node, TAKES_ROOM) &&
      !(parent && declares(documents, parent, SETS_APART))
    )
      continue;
    findings.push({ wrapper, content: content!, shown });
  }
  return findings;
}

/** By what something shows or does not: an element or instance says it, a repeat over a list shows nothing for an empty one. */
function shownBy(nodes: TreeDoc['nodes'], id: NodeId, node: TreeNode): Source | undefined {
  if (node.kind === 'element' || node.kind === 'instance') return node.shown;
  if (node.kind !== 'repeat' || !('list' in node.query.from)) return undefined;
  const { list } = node.query.from;
  // What stands there for none fills the place; what is left out of the list by conditions is not asked for here.
  return childrenOf(nodes).of(id, NONE).length > 0 || list.is === 'value' ? undefined : list;
}

function isAlways(shown: Source): boolean {
  return shown.is === 'value' && shown.value === true;
}

/** Whether anything that styles a node declares one of these: itself, what it has on, its tag. */
function declares(documents: Documents, node: TreeNode, what: RegExp): boolean {
  if (node.kind !== 'element' && node.kind !== 'instance') return false;
  const blocks = [
    node.style,
    ...Object.keys(node.shared ?? {}).map((style) => docOf(documents, 'style', style)?.style ?? {}),
    node.kind === 'element' ? (own(documents.tags.tags, node.tag) ?? {}) : {},
  ];
  return blocks.some((block) =>
    Object.keys(block).some((key) => what.test(keyParts(key).property)),
  );
}
