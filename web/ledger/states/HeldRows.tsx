import type { ReactNode } from 'react';
import { inOrder, type ComponentDoc, type NodeId } from '@sormet/core/model';
import { HoldCell } from './HoldCell';

/** The states of an instance inside a definition, each with what the canvas holds it at. */
export function HeldRows({
  doc,
  node,
  component,
}: {
  doc: string;
  node: NodeId;
  component: ComponentDoc;
}): ReactNode {
  return inOrder(component.properties)
    .filter(([, { state }]) => state !== undefined)
    .map(([id, made]) => (
      <tr key={id}>
        <th scope="row">{made.label}, on the canvas</th>
        <td className="cell" colSpan={3}>
          <HoldCell doc={doc} node={node} property={id} made={made} />
        </td>
      </tr>
    ));
}
