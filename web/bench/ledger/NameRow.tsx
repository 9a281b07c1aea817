import { useState, type ReactNode } from 'react';
import { Input } from 'antd';
import { newId } from '@sormet/core/model';
import { useSync } from '../../site/SiteProvider';

/** The name that tells a node from others like it. */
export function NameRow({
  doc,
  node,
  name,
  columns,
}: {
  doc: string;
  node: string;
  name: string;
  columns: number;
}): ReactNode {
  const sync = useSync();
  const [session] = useState(newId);
  return (
    <tr>
      <th scope="row">name</th>
      <td colSpan={columns - 1} className="cell">
        <Input
          size="small"
          variant="borderless"
          aria-label="name"
          placeholder="a name to tell it from others, seen only here"
          value={name}
          maxLength={120}
          onChange={({ target }) =>
            sync.edit(
              { name: 'nameNode', args: { doc, node, name: target.value } },
              { group: `${session} ${node} name` },
            )
          }
        />
      </td>
    </tr>
  );
}
