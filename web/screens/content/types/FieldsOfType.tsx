import { useMemo, type ReactNode } from 'react';
import type { TypeDoc } from '@sormet/core/model';
import { groupsOf } from '../../../parts/grouped/groups-of';
import { OrderedByDragging } from '../../../parts/grouped/OrderedByDragging';
import { HeadedTable } from '../../../parts/HeadedTable';
import { useSync } from '../../../site/SiteProvider';
import { AddField } from './AddField';
import { FieldGroup } from './FieldGroup';
import { FieldLine } from './FieldLine';
import { standingOfFields } from './standing-of-fields';
import { TypeSettings } from './TypeSettings';
import '../../../ledger/Ledger.css';
import './types.css';

/** The fields of a content type, in the order in which an entry is filled: named, typed, asked for, under headings. */
export function FieldsOfType({ type }: { type: TypeDoc }): ReactNode {
  const sync = useSync();
  const groups = useMemo(() => groupsOf(type.fields, type.groups ?? {}, 'Fields'), [type]);
  const standing = useMemo(() => {
    const order = groups.flatMap(({ rows }) => rows.map(([id]) => id));
    return standingOfFields(type, order, sync);
  }, [type, groups, sync]);
  return (
    <div className="fields-of-type">
      <TypeSettings type={type} />
      <OrderedByDragging standing={standing}>
        <HeadedTable
          label={`Fields of ${type.name}`}
          heads={[
            { name: 'Heading', width: 'field-group' },
            { name: 'Field', width: 'field-name' },
            { name: 'Key', width: 'field-key' },
            { name: 'Holds', width: 'field-type' },
            'Under',
            { name: 'Required', title: 'An entry without it is missing something' },
            {
              name: 'Unique',
              title: 'No two entries should hold the same: files find the entry by it',
            },
            { name: 'In table', title: 'Whether the table of entries shows it' },
            { name: 'Begins with', width: 'field-begins' },
            { name: 'Help', title: 'For whoever fills it', width: 'field-help-column' },
            { width: 'tick' },
          ]}
        >
          {groups.map(({ key, label, rows }) => (
            <tbody key={key}>
              {rows.map(([id, made], i) => (
                <FieldLine
                  key={id}
                  type={type}
                  id={id}
                  made={made}
                  standing={standing}
                  group={
                    i > 0 ? null : (
                      <FieldGroup type={type} group={key} label={label} rows={rows.length} />
                    )
                  }
                />
              ))}
            </tbody>
          ))}
        </HeadedTable>
      </OrderedByDragging>
      <AddField type={type} />
    </div>
  );
}
