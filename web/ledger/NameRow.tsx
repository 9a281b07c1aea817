import { useState, type ReactNode } from 'react';
import { newId } from '@sormet/core/model';
import { useSync } from '../site/SiteProvider';
import { useLiveText } from '../parts/use-live-text';

/** The name that tells a node from others like it. */
export function NameRow({
  doc,
  node,
  name,
  columns,
  group,
}: {
  doc: string;
  node: string;
  name: string;
  columns: number;
  /** What stands before the row, where rows have groups. */
  group?: ReactNode;
}): ReactNode {
  const sync = useSync();
  const [session] = useState(newId);
  const [shown, type, leave] = useLiveText(name);
  return (
    <tr>
      {group}
      <th scope="row">name</th>
      <td colSpan={columns - 1} className="cell">
        <input
          className="plain-field"
          aria-label="name"
          placeholder="a name to tell it from others, seen only here"
          value={shown}
          maxLength={120}
          onChange={({ target }) => {
            type(target.value);
            sync.edit(
              { name: 'nameNode', args: { doc, node, name: target.value } },
              { group: `${session} ${node} name` },
            );
          }}
          onBlur={leave}
        />
      </td>
    </tr>
  );
}
