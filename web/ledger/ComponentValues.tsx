import type { ReactNode } from 'react';
import { Button, Checkbox } from 'antd';
import { inOrder, rootOf, type ComponentDoc } from '@sormet/core/model';
import { useSync } from '../site/SiteProvider';
import { benchActions } from '../store/bench-slice';
import { useAppDispatch } from '../store/store';
import { slotWordsOf } from '../words';
import { DraftField } from '../values/DraftField';
import { PropertiesTable } from './PropertiesTable';

/** What a definition says of itself: its name with its folder, what it exposes in order, its slots. */
export function ComponentValues({ component }: { component: ComponentDoc }): ReactNode {
  const dispatch = useAppDispatch();
  const sync = useSync();
  const { id, name, slots, nodes } = component;
  const select = (node: string) => dispatch(benchActions.select({ doc: id, nodes: [node] }));
  const placed = Object.keys(nodes).flatMap((node) => {
    const stored = nodes[node]!;
    return stored.kind === 'slot' ? [[stored.slot, node] as const] : [];
  });
  return (
    <>
      <div className="ledger-head">
        <span className="quiet">name, after its folder</span>
        <DraftField
          label="Name of the component"
          stored={name}
          edit={(typed) => ({ name: 'nameComponent', args: { component: id, name: typed } })}
        />
        <span className="quiet">slots</span>
        {inOrder(slots).map(([slot, made]) => {
          const node = placed.find(([each]) => each === slot)?.[1];
          return node === undefined ? null : (
            <button
              key={slot}
              type="button"
              className="as-link"
              title={slotWordsOf(made)}
              onClick={() => select(node)}
            >
              {made.label}
            </button>
          );
        })}
        {placed.length === 0 ? <span>none; put one in with g</span> : null}
        <Checkbox
          checked={component.offered === true}
          title="Editors may put it into the slots of pages"
          onChange={({ target }) =>
            sync.edit({
              name: 'offerComponent',
              args: { component: id, offered: target.checked },
            })
          }
        >
          offered to editors
        </Checkbox>
        <Button size="small" onClick={() => select(rootOf(nodes))}>
          Expose more
        </Button>
      </div>
      <PropertiesTable key={id} component={component} />
    </>
  );
}
