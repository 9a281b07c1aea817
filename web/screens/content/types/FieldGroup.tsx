import type { ReactNode } from 'react';
import type { TypeDoc } from '@sormet/core/model';
import { Grip, useDragged } from '../../../parts/grouped/OrderedByDragging';
import { DraftField } from '../../../values/DraftField';

/** The heading over some fields, beside their rows: named, and moved among the others. */
export function FieldGroup({
  type,
  group,
  label,
  rows,
}: {
  type: TypeDoc;
  /** `''` where those stand that are under none. */
  group: string;
  label: string;
  rows: number;
}): ReactNode {
  const { row, mark, ...drag } = useDragged({ is: 'group', id: group });
  if (group === '')
    return (
      <th scope="rowgroup" rowSpan={rows} className="ledger-group">
        {label}
      </th>
    );
  return (
    <th ref={row} scope="rowgroup" rowSpan={rows} className={`ledger-group ${mark ?? ''}`}>
      <span className="grip-and">
        <Grip {...drag} name={label} />
        <DraftField
          label={`Name of the heading ${label}`}
          stored={label}
          edit={(typed) => ({
            name: 'setTypeGroup',
            args: { type: type.id, group, set: { label: typed } },
          })}
        />
      </span>
    </th>
  );
}
