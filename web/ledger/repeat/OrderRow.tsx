import type { Records } from '@sormet/core/edit';
import type { ReactNode } from 'react';
import { X } from 'lucide-react';
import { useDerived, useSync } from '../../site/SiteProvider';
import { ChoiceCell } from '../../parts/ChoiceCell';
import type { Selected } from '../use-selected';
import { IconButton } from '../../parts/IconButton';
import { fieldOptions, pathLabel } from './field-options';

/** One field that a repeat sorts by, and which way. */
export function OrderRow({
  selected,
  type,
  id,
  group,
}: {
  selected: Selected;
  type: Records;
  id: string;
  group: ReactNode;
}): ReactNode {
  const { documents } = useDerived();
  const sync = useSync();
  const { doc, node } = selected;
  const key = node.kind === 'repeat' ? node.query.order[id] : undefined;
  if (!key) return null;
  const options = fieldOptions(documents, type);
  const name = pathLabel(documents, type, key.path);
  const set = (next: typeof key | null) =>
    sync.edit({
      name: 'setQuery',
      args: { doc: doc.id, node: selected.id, set: { order: id, key: next } },
    });
  return (
    <tr>
      {group}
      <th scope="row">field</th>
      <td className="cell set wins">
        <ChoiceCell
          label="Field to sort by"
          chosen={key.path.join('/')}
          placeholder={name}
          options={options}
          onChoose={(value) =>
            set({ ...key, path: options.find((each) => each.value === value)!.path })
          }
        />
      </td>
      <td className="cell set wins">
        <ChoiceCell
          label={`${name}, which way`}
          chosen={key.descending ? 'down' : 'up'}
          options={[
            { value: 'up', label: 'smallest first' },
            { value: 'down', label: 'largest first' },
          ]}
          onChoose={(way) => set({ ...key, descending: way === 'down' })}
        />
      </td>
      <td />
      <td className="tick">
        <IconButton
          icon={X}
          name={`${name}: not sorted by it`}
          title="Do not sort by it"
          onPress={() => set(null)}
        />
      </td>
    </tr>
  );
}
