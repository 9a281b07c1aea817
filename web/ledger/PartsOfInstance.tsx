import type { ReactNode } from 'react';
import { own, partsIn } from '@sormet/core/model';
import { innerOf } from '../canvas/inside';
import { useSync } from '../site/SiteProvider';
import { benchActions } from '../store/bench-slice';
import { useAppDispatch } from '../store/store';
import type { Selected } from './use-selected';
import { count } from '../words';
import { GroupCell } from './GroupCell';

/** The parts of an instance's component, with what is said of each here; what is no part there any more is told, too. */
export function PartsOfInstance({ selected }: { selected: Selected }): ReactNode {
  const sync = useSync();
  const dispatch = useAppDispatch();
  const { node, component, doc, id, resolved } = selected;
  if (node.kind !== 'instance' || !component) return null;
  const parts = partsIn(component.nodes);
  const gone = Object.keys(node.parts ?? {}).filter(
    (part) => !parts.some(([each]) => each === part),
  );
  if (parts.length + gone.length === 0) return null;
  const inner = resolved ? innerOf(resolved, doc.id) : [];
  const rows = [...parts, ...gone.map((part) => [part, 'a part that is gone'] as const)];
  return (
    <tbody>
      {rows.map(([part, name], i) => {
        const said = Object.keys(own(node.parts ?? {}, part) ?? {}).length;
        const shown = inner.find(
          ({ element }) => element.from.id === part && element.scope.within.doc === component.id,
        );
        // A part that is an instance shows as the root of its own component.
        const root = shown ?? inner.find(({ element }) => standsFor(element, part, component.id));
        return (
          <tr key={part}>
            {i === 0 ? <GroupCell label="Parts" rows={rows.length} /> : null}
            <th scope="row">{name}</th>
            <td className="cell">
              <span className="cell-words quiet">as its definition says</span>
            </td>
            <td className={said > 0 ? 'cell set wins' : 'cell set'}>
              <span className="shows-row">
                {said > 0 ? (
                  <span className="cell-words" title={count(said, 'declaration')}>
                    {said} set
                  </span>
                ) : null}
                {root && !gone.includes(part) ? (
                  <button
                    type="button"
                    className="as-link"
                    aria-label={`Style ${name} here`}
                    onClick={() => {
                      dispatch(benchActions.setTab('style'));
                      dispatch(
                        benchActions.select({ doc: doc.id, nodes: [id], inside: root.address }),
                      );
                    }}
                  >
                    style here
                  </button>
                ) : null}
                {said > 0 ? (
                  <button
                    type="button"
                    className="as-link"
                    aria-label={`Take back what is said of ${name}`}
                    onClick={() =>
                      sync.edit({ name: 'clearPart', args: { doc: doc.id, node: id, part } })
                    }
                  >
                    take back
                  </button>
                ) : null}
              </span>
            </td>
            <td />
            <td className="cell">
              <span className="cell-words quiet">
                {gone.includes(part) ? 'shows nowhere' : root ? '' : 'not shown now'}
              </span>
            </td>
          </tr>
        );
      })}
    </tbody>
  );
}

/** Whether an element is the root of what an instance in a definition stands for, however many stand in each other. */
function standsFor(
  element: ReturnType<typeof innerOf>[number]['element'],
  part: string,
  component: string,
): boolean {
  for (let at = element.scope.within; at.parent; at = at.parent)
    if (at.node === part && at.parent.doc === component) return true;
  return false;
}
