import type { ReactNode } from 'react';
import { nodeIn, partNameOf } from '@sormet/core/model';
import { useDerived } from '../site/SiteProvider';
import { DraftField } from '../values/DraftField';
import type { Selected } from './use-selected';
import { count } from '../words';

/** The name under which whoever places a definition may style an element of it; without one they may not. */
export function PartRow({ selected }: { selected: Selected }): ReactNode {
  const { documents, reach } = useDerived();
  const { doc, id, node, isRoot } = selected;
  if (doc.kind !== 'component' || isRoot || (node.kind !== 'element' && node.kind !== 'instance'))
    return null;
  const part = partNameOf(node);
  const styled = reach.answer(doc.id).instances.filter(({ kind, from, node: at }) => {
    const instance = kind === 'places' ? nodeIn(documents, from, at) : undefined;
    return instance?.kind === 'instance' && instance.parts?.[id] !== undefined;
  }).length;
  return (
    <tr>
      <th scope="row">part</th>
      <td className={part === undefined ? 'cell' : 'cell set wins'}>
        <DraftField
          label="part, styled by whoever places it, as"
          stored={part ?? ''}
          placeholder="a name lets whoever places it style this"
          edit={(name) => ({
            name: 'markPart',
            args: { component: doc.id, node: id, name: name.trim() === '' ? null : name },
          })}
        />
      </td>
      <td className="quiet" colSpan={2}>
        {styled > 0 ? `${count(styled, 'instance')} ${styled === 1 ? 'styles' : 'style'} it` : ''}
      </td>
    </tr>
  );
}
