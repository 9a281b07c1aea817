import {
  type Documents,
  type NodeId,
  sameJson,
  type Source,
  type TreeDoc,
  type TypeSpec,
} from '../model';
import { type ControlRow, controlsOf } from './control';

/** A control that everything selected has. */
export interface CommonControl {
  /** What it is on each: `text`, `shown`, the label of a property. */
  readonly what: string;
  readonly type: TypeSpec;
  /** It on each of what is selected, in the order of the selection. */
  readonly rows: readonly ControlRow[];
  /** What all of them hold; `undefined` where nothing is said, `'mixed'` where they differ. */
  readonly holds: Source | undefined | 'mixed';
}

/**
 * The controls that several nodes of a tree have in common, in the order of the first: an instance’s properties where
 * all are of the same component, the second text of each where all have two. What is of another type on one of them is
 * left out, since no one value fits all.
 */
export function commonControls(
  documents: Documents,
  doc: TreeDoc,
  nodes: readonly NodeId[],
): CommonControl[] {
  const [first, ...others] = nodes.map((node) => keyed(documents, doc, node));
  if (!first) return [];
  const common: CommonControl[] = [];
  for (const [key, row] of first) {
    const rows = [row];
    for (const other of others) {
      const same = other.get(key);
      if (same && sameJson(same.type, row.type)) rows.push(same);
    }
    if (rows.length < nodes.length) continue;
    const isOne = rows.every(({ source }) => sameJson(source ?? null, row.source ?? null));
    common.push({ what: row.what, type: row.type, rows, holds: isOne ? row.source : 'mixed' });
  }
  return common;
}

/** The controls of one node by what they are, counted where it has several alike. */
function keyed(documents: Documents, doc: TreeDoc, node: NodeId): Map<string, ControlRow> {
  const found = new Map<string, ControlRow>();
  for (const row of controlsOf(documents, doc, node)) {
    if (row.element !== node && row.node !== node) continue;
    const { control } = row;
    const stored = doc.nodes[row.node]!;
    const of = stored.kind === 'instance' && control.of === 'value' ? stored.component : row.what;
    const name = JSON.stringify([control, of]);
    let n = 1;
    while (found.has(`${name} ${n}`)) n += 1;
    found.set(`${name} ${n}`, row);
  }
  return found;
}
