import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { literal, type ValueKind } from '@sormet/core/model';
import type { RosterRow } from '@sormet/core/edit';
import { CellGrid } from '../../parts/grid/CellGrid';
import { GridEditor } from '../../parts/grid/GridEditor';
import type { At } from '../../parts/grid/walking';
import { useDerived, useSync } from '../../site/SiteProvider';
import { ValueEditor } from '../../values/ValueEditor';
import { documentWords } from '../../words';
import type { Given } from './pasted-block';
import { cellOf, nameOf, type Column, type Looking } from './use-roster';

/** Kinds that typing begins to write. */
const TYPED: ReadonlySet<ValueKind> = new Set(['text', 'number', 'length']);

/** The instances, a row each, in a table as people fill it. */
export function RosterTable({
  name,
  rows,
  columns,
  sort,
  at,
  onSort,
  onGo,
  onSet,
  onFillDown,
  onTakeBack,
  onPaste,
}: {
  name: string;
  rows: readonly RosterRow[];
  columns: readonly Column[];
  sort: Looking['sort'];
  at: At;
  onSort: (sort: Looking['sort']) => void;
  onGo: (at: At) => void;
  onSet: (given: readonly Given[], group: string | null) => void;
  onFillDown: () => void;
  onTakeBack: () => void;
  onPaste: (text: string) => void;
}): ReactNode {
  const { documents } = useDerived();
  const { site } = useSync();
  return (
    <CellGrid
      name="roster"
      label={`Instances of ${name}`}
      rows={rows.length}
      keyOf={(row) => `${rows[row]!.doc} ${rows[row]!.node}`}
      leads={[
        {
          id: 'page',
          label: 'Page',
          width: 140,
          cell: (row) => (
            <Link tabIndex={-1} to={`/sites/${site}/bench/${rows[row]!.doc}#${rows[row]!.node}`}>
              {documentWords(documents, rows[row]!.doc)}
            </Link>
          ),
        },
        {
          id: 'name',
          label: 'Instance',
          width: 150,
          cell: (row) => nameOf(documents, rows[row]!),
        },
      ]}
      columns={columns.map(({ id, property: { label, axis, type } }) => ({
        id,
        label,
        isTyped: TYPED.has(type.kind),
        mark: axis ? <span className="roster-axis"> variant</span> : undefined,
      }))}
      at={at}
      sort={sort}
      onGo={onGo}
      onSort={onSort}
      cell={(row, i) => {
        const { standing, words } = cellOf(documents, rows[row]!, columns[i]!);
        const stands = { set: '', bound: ', bound', default: ', the default' }[standing];
        return {
          words,
          className: `is-${standing}`,
          title: words + stands,
          shown: `${standing === 'bound' ? '↳ ' : ''}${words}`,
        };
      }}
      editor={(index, i, { name: visit, onEnd }) => {
        const row = rows[index]!;
        const column = columns[i]!;
        const { value, words } = cellOf(documents, row, column);
        const { type, label } = column.property;
        return (
          <GridEditor isOneLine={type.kind === 'text' || type.kind === 'number'} onEnd={onEnd}>
            <ValueEditor
              type={type}
              label={label}
              value={value}
              placeholder={words}
              open
              onChange={(typed, group) =>
                onSet(
                  [{ row, column, source: literal(typed) }],
                  group === null ? null : `${visit} ${group}`,
                )
              }
            />
          </GridEditor>
        );
      }}
      onPaste={onPaste}
      onFillDown={onFillDown}
      onEmpty={onTakeBack}
    />
  );
}
