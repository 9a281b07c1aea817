import { treeDocOf, type Documents } from '@sormet/core/model';
import type { RosterRow } from '@sormet/core/edit';
import { fittingFields, type FittingField } from '../../values/fields';
import type { Column } from './use-roster';

/** The fields to which all of some instances can be bound where they stand. */
export function fieldsForAll(
  documents: Documents,
  rows: readonly RosterRow[],
  { property }: Column,
): FittingField[] {
  // Looked for where they stand, of each document once.
  const [first, ...rest] = rows;
  const of = ({ doc, node }: RosterRow) => {
    const tree = treeDocOf(documents, doc);
    return tree ? fittingFields(documents, tree, node, property.type) : [];
  };
  if (!first) return [];
  let fields = of(first);
  for (const row of rest) {
    if (fields.length === 0) break;
    const keys = new Set(of(row).map(({ key }) => key));
    fields = fields.filter(({ key }) => keys.has(key));
  }
  return fields;
}
