import type { ReactNode } from 'react';
import { tagsFor } from '@sormet/core/edit';
import { useDerived, useSync } from '../site/SiteProvider';
import { ChoiceCell } from '../parts/ChoiceCell';
import type { Selected } from './use-selected';

/** The tag of an element, and the tags it may have where it stands. */
export function TagRow({ selected }: { selected: Selected }): ReactNode {
  const { documents } = useDerived();
  const sync = useSync();
  const { doc, id, node } = selected;
  if (node.kind !== 'element') return null;
  const options = tagsFor(documents, doc, id).map((tag) => ({ value: tag, label: tag }));
  return (
    <tr>
      <th scope="row">tag</th>
      <td className="cell set wins">
        <ChoiceCell
          label="tag"
          chosen={node.tag}
          options={options}
          onChoose={(tag) => sync.edit({ name: 'setTag', args: { doc: doc.id, node: id, tag } })}
        />
      </td>
      <td className="quiet" colSpan={2}>
        {options.length === 1 ? 'nothing else may stand here' : ''}
      </td>
    </tr>
  );
}
