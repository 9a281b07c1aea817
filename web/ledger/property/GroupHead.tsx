import type { ReactNode } from 'react';
import { X } from 'lucide-react';
import type { ComponentDoc, Property, PropertyId } from '@sormet/core/model';
import { DraftField } from '../../values/DraftField';
import { IconButton } from '../../parts/IconButton';
import { Grip, useDragged } from '../../parts/grouped/OrderedByDragging';
import { useTakingBack } from './TakeBack';

/** The name of a group of properties beside its rows: it is named, moved among the others, taken back as a whole. */
export function GroupHead({
  component,
  group,
  label,
  rows,
}: {
  component: ComponentDoc;
  /** `''` where those stand that are in none. */
  group: string;
  label: string;
  rows: readonly [PropertyId, Property][];
}): ReactNode {
  const { takeBack, asked } = useTakingBack(component);
  const { row, mark, ...drag } = useDragged({ is: 'group', id: group });
  if (group === '')
    return (
      <th scope="rowgroup" rowSpan={rows.length} className="ledger-group">
        {label}
      </th>
    );
  return (
    <th ref={row} scope="rowgroup" rowSpan={rows.length} className={`ledger-group ${mark ?? ''}`}>
      <span className="grip-and">
        <Grip {...drag} name={label} />
        <DraftField
          label={`Name of the group ${label}`}
          stored={label}
          edit={(typed) => ({
            name: 'setGroup',
            args: { component: component.id, group, set: { label: typed } },
          })}
        />
        <span className="cell-actions">
          <IconButton
            icon={X}
            name={`Take back the group ${label}`}
            title="Take the group back"
            onPress={() => takeBack(rows.map(([id]) => id))}
          />
        </span>
        {asked}
      </span>
    </th>
  );
}
