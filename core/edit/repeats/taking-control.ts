import {
  own,
  repeatsAround,
  type Documents,
  type NodeId,
  type TreeDoc,
  type ValueKind,
} from '../../model';
import { feeds } from '../../value';
import { controlsOf, type ControlRow } from '../control';
import { isOfContent, sameName } from './what-fits';

/** A field as it is given to something: what it is called, and what it holds. */
export interface Giving {
  readonly label: string;
  readonly key: string;
  readonly kind: ValueKind;
}

/**
 * The control of a node, or of what stands in it, that takes a field which is let go on it: one that is called the same,
 * else one of the same kind, else the first that can show it. Nothing where none does.
 */
export function takingControl(
  documents: Documents,
  doc: TreeDoc,
  node: NodeId,
  field: Giving,
): ControlRow | undefined {
  const stored = own(doc.nodes, node);
  if (!stored) return undefined;
  const isInstance = stored.kind === 'instance';
  const around = repeatsAround(doc, node).length;
  const rows = controlsOf(documents, doc, node).filter(
    (row) =>
      (isInstance ? row.node === node : repeatsAround(doc, row.node).length === around) &&
      isOfContent(documents, doc, row) &&
      feeds(field.kind, row.type.kind),
  );
  return (
    rows.find((row) => sameName(row, field)) ??
    rows.find(({ type }) => type.kind === field.kind) ??
    rows[0]
  );
}
