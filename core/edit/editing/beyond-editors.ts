import {
  chainOf,
  docOf,
  own,
  tokensOf,
  sameJson,
  treeDocOf,
  type Documents,
  type InstanceNode,
  type NodeId,
  type PageDoc,
  type Source,
  type Tree,
} from '../../model';
import { say } from '../../said';
import type { Change, Refusal } from '../changes';

/**
 * What of some changes is more than editors may do, who fill a site that others designed: of pages they set values of
 * instances, put sections that are offered into slots, order and remove these; of content everything that entries hold; of
 * files what is said of them, and new ones. Asked where an edit is made and once more where it is stored.
 * @param isRevert whether they only take back what was done before: what comes back was there
 * @returns the first that is more, as a refusal; nothing where all may be done
 */
export function beyondEditors(
  before: Documents,
  after: Documents,
  changes: readonly Change[],
  isRevert: boolean,
): Refusal | undefined {
  for (const { doc: id, path } of changes) {
    const doc = after.get(id) ?? before.get(id);
    const parts = tokensOf(path);
    const may =
      doc?.kind === 'entry' ||
      (doc?.kind === 'asset' && mayOfFile(before.get(id) !== undefined, parts)) ||
      (doc?.kind === 'page' && mayOfPage(before, after, id, parts, isRevert));
    if (!may) return { refused: say('not-for-editors'), doc: id, path };
  }
  return undefined;
}

/** Of a file: that it is new, and what is said of it. */
function mayOfFile(wasThere: boolean, [member]: readonly string[]): boolean {
  return member === undefined ? !wasThere : member === 'alt' || member === 'focus';
}

function mayOfPage(
  before: Documents,
  after: Documents,
  id: string,
  [nodes, node, member, property]: readonly string[],
  isRevert: boolean,
): boolean {
  const [old, now] = [docOf(before, 'page', id), docOf(after, 'page', id)];
  if (!old || !now || nodes !== 'nodes' || node === undefined) return false;
  const [was, is] = [own(old.nodes, node), own(now.nodes, node)];
  if (member === undefined) {
    if (was && is) return false;
    const tree = is ? now.nodes : old.nodes;
    const other = is ? old.nodes : now.nodes;
    const top = topOf(tree, other, node);
    if (!isOffered(is ? after : before, tree, top)) return false;
    // What is put in is a section as it is offered, and nothing that somebody wrote into it elsewhere.
    return !is || isRevert || (top === node && isAsOffered(is as InstanceNode));
  }
  if (was?.kind !== 'instance' || is?.kind !== 'instance') return false;
  if (member === 'place')
    return (
      was.place.slot !== undefined &&
      was.place.parent === is.place.parent &&
      was.place.slot === is.place.slot
    );
  if (member !== 'values') return false;
  const set =
    property === undefined ? [...Object.keys(was.values), ...Object.keys(is.values)] : [property];
  return set.every((each) => {
    const [a, b] = [own(was.values, each), own(is.values, each)];
    return sameJson(a ?? null, b ?? null) || (isWritten(a) && isWritten(b));
  });
}

/** The outermost of what came or went with a node: what stands around it is in both states. */
function topOf(tree: Tree, other: Tree, node: NodeId): NodeId {
  let top = node;
  for (;;) {
    const { parent } = tree[top]!.place;
    if (parent === null || own(other, parent)) return top;
    top = parent;
  }
}

/** Whether a node is a section that is offered to editors, in a slot of something that stands on the page. */
function isOffered(documents: Documents, tree: PageDoc['nodes'], id: NodeId): boolean {
  const node = own(tree, id);
  if (node?.kind !== 'instance' || node.place.slot === undefined) return false;
  return docOf(documents, 'component', node.component)?.offered === true;
}

/** Whether an instance says nothing but values that are written where they stand. */
function isAsOffered({
  values,
  style,
  shared,
  parts,
  theme,
  chosen,
  part,
  shown,
}: InstanceNode): boolean {
  return (
    Object.keys(style).length === 0 &&
    [shared, parts, theme, chosen, part, shown].every((each) => each === undefined) &&
    Object.values(values).every(isWritten)
  );
}

/** Whether a value is written where it stands, or left to its default: what is bound is filled where it comes from. */
function isWritten(source: Source | undefined): boolean {
  return source === undefined || chainOf(source).every(({ is }) => is === 'value');
}

/** Whether editors may set a value of an instance on a page as it is: it is not bound, and there is something to set. */
export function mayBeSet(
  documents: Documents,
  page: string,
  node: NodeId,
  property: string,
): boolean {
  const stored = own(treeDocOf(documents, page)?.nodes ?? {}, node);
  return stored?.kind === 'instance' && isWritten(own(stored.values, property));
}
