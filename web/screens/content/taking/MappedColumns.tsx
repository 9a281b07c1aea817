import type { ReactNode } from 'react';
import {
  inOrder,
  kindOnly,
  newId,
  NEVER_CONTENT,
  type TypeDoc,
  type ValueKind,
} from '@sormet/core/model';
import { optionsOf, type Mapped } from '@sormet/core/format';
import { keyFor } from '@sormet/core/edit';
import { Select } from 'antd';
import { HeadedTable } from '../../../parts/HeadedTable';
import { KIND_WORDS } from '../../../words';
import type { TakingState } from './use-taking';

/** How many cells are shown of a column. */
const SHOWN = 3;

/** What each column of the file becomes: a field that is there, a new one of a kind, the slug, or nothing. */
export function MappedColumns({ taking }: { taking: TakingState }): ReactNode {
  const { table, asked, say } = taking;
  const type = 'id' in asked.into ? (asked.into as TypeDoc) : undefined;
  const kinds = (Object.keys(KIND_WORDS) as ValueKind[]).filter(
    (kind) => !NEVER_CONTENT.has(kind) && kind !== 'list' && kind !== 'icon' && kind !== 'video',
  );
  const put = (at: number, next: Mapped) =>
    say({ columns: asked.columns.map((each, i) => (i === at ? next : each)) });
  const used = new Set(asked.columns.flatMap((each) => (each.to === 'field' ? [each.field] : [])));
  return (
    <div className="taking-columns" tabIndex={0} role="region" aria-label="Columns of the file">
      <HeadedTable
        label="What the columns become"
        className="screen-table"
        heads={['Column', 'Holds', 'Becomes']}
      >
        <tbody>
          {table.columns.map((name, i) => {
            const mapped = asked.columns[i] ?? { to: 'nothing' };
            return (
              <tr key={name}>
                <th scope="row">{name}</th>
                <td className="taking-sample">
                  {table.rows
                    .map(({ cells }) => cells[i]!)
                    .filter((cell) => cell.trim() !== '')
                    .slice(0, SHOWN)
                    .join(' · ') || 'nothing'}
                </td>
                <td>
                  <Select
                    size="small"
                    aria-label={`What ${name} becomes`}
                    value={valueOf(mapped)}
                    popupMatchSelectWidth={false}
                    showSearch={{ optionFilterProp: 'label' }}
                    options={[
                      { value: 'nothing', label: 'nothing: left out' },
                      { value: 'slug', label: 'the slug' },
                      { value: 'draft', label: 'whether it is a draft' },
                      ...(type ? inOrder(type.fields) : [])
                        .filter(
                          ([id]) => !used.has(id) || (mapped.to === 'field' && mapped.field === id),
                        )
                        .map(([id, { label }]) => ({ value: `field ${id}`, label })),
                      ...kinds.map((kind) => ({
                        value: `new ${kind}`,
                        label: `a new field: ${KIND_WORDS[kind]}`,
                      })),
                    ]}
                    onChange={(value) => put(i, mappedTo(value, mapped, name, i, taking))}
                  />
                </td>
              </tr>
            );
          })}
        </tbody>
      </HeadedTable>
    </div>
  );
}

function valueOf(mapped: Mapped): string {
  if (mapped.to === 'field') return `field ${mapped.field}`;
  return mapped.to === 'new' ? `new ${mapped.field.type.kind}` : mapped.to;
}

function mappedTo(
  value: string,
  before: Mapped,
  name: string,
  column: number,
  { asked, table }: TakingState,
): Mapped {
  const [to, of] = value.split(' ') as [string, string];
  if (to === 'field') return { to, field: of };
  if (to === 'slug' || to === 'draft' || to === 'nothing') return { to };
  const kind = of as ValueKind;
  const cells = table.rows.map(({ cells: each }) => each[column]!.trim()).filter(Boolean);
  const spec =
    kind === 'choice'
      ? { kind, options: optionsOf([...new Set(cells)].slice(0, 200)) }
      : kindOnly(kind);
  if (before.to === 'new') return { ...before, field: { ...before.field, type: spec } };
  const keys = new Set([
    ...('id' in asked.into ? Object.values((asked.into as TypeDoc).fields) : []).map(
      ({ key }) => key,
    ),
    ...asked.columns.flatMap((each) => (each.to === 'new' ? [each.field.key] : [])),
  ]);
  return {
    to: 'new',
    id: newId(),
    field: { label: name.slice(0, 120), key: keyFor(name, keys), order: 'zz', type: spec },
  };
}
