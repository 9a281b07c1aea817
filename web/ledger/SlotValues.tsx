import type { ReactNode } from 'react';
import {
  allOf,
  childrenOf,
  inOrder,
  own,
  type ComponentDoc,
  type NodeId,
  type Slot,
  type TreeDoc,
} from '@sormet/core/model';
import { nodeName, shortName } from '@sormet/core/edit';
import { HeadedTable } from '../parts/HeadedTable';
import { useDerived, useSync } from '../site/SiteProvider';
import { benchActions } from '../store/bench-slice';
import { useAppDispatch } from '../store/store';
import { ChoiceCell } from '../parts/ChoiceCell';
import type { Selected } from './use-selected';
import { count } from '../words';
import { DraftField } from '../values/DraftField';
import { GroupCell } from './GroupCell';

const LAYOUTS = [
  { value: 'column', label: 'one below the other' },
  { value: 'row', label: 'beside each other' },
  { value: 'grid', label: 'in a grid' },
] as const;

/** A slot of a definition: what it is called, how what comes in lies, what it takes, and what stands there otherwise. */
export function SlotValues({
  component,
  slot,
  node,
}: {
  component: ComponentDoc;
  slot: string;
  /** The node where it stands. */
  node: string;
}): ReactNode {
  const sync = useSync();
  const made = own(component.slots, slot);
  if (!made) return <p className="ledger-empty">This slot is not in the definition any more.</p>;
  const args = { component: component.id, slot };
  return (
    <HeadedTable
      label={`Values of the slot ${made.label}`}
      heads={[
        { unseen: 'Group' },
        'Of the slot',
        { name: 'Value', width: 'half' },
        { unseen: 'What it is for', width: 'wide' },
      ]}
    >
      <tbody>
        <tr>
          <GroupCell label="This slot" rows={2} />
          <th scope="row">name</th>
          <td className="cell set wins">
            <DraftField
              label="Name of the slot"
              stored={made.label}
              edit={(label) => ({ name: 'setSlot', args: { ...args, set: { label } } })}
            />
          </td>
          <td className="quiet">seen by whoever fills it</td>
        </tr>
        <tr>
          <th scope="row">layout</th>
          <td className="cell set wins">
            <ChoiceCell
              label="Layout of the slot"
              chosen={made.layout ?? 'column'}
              options={LAYOUTS}
              onChoose={(layout) =>
                sync.edit({
                  name: 'setSlot',
                  args: { ...args, set: { layout: layout as NonNullable<Slot['layout']> } },
                })
              }
            />
          </td>
          <td className="quiet">where things land; the look itself is style</td>
        </tr>
      </tbody>
      <tbody>
        <tr>
          <GroupCell label="What comes in" rows={2} />
          <th scope="row">takes</th>
          <td className={made.allows ? 'cell set wins tight' : 'cell tight'}>
            <Taken component={component} slot={slot} made={made} />
          </td>
          <td />
        </tr>
        <tr>
          <th scope="row">at most</th>
          <td className={made.most === undefined ? 'cell' : 'cell set wins'}>
            <DraftField
              label="How many the slot holds at most"
              number={{ least: 1, most: 1000 }}
              placeholder="as many as one likes"
              stored={made.most === undefined ? '' : String(made.most)}
              edit={(typed) => ({
                name: 'setSlot',
                args: { ...args, set: { most: typed.trim() === '' ? null : Number(typed) } },
              })}
            />
          </td>
          <td />
        </tr>
      </tbody>
      <tbody>
        <tr>
          <GroupCell label="With nothing in it" rows={1} />
          <th scope="row">stands there</th>
          <td colSpan={2}>
            <Standing
              doc={component}
              nodes={childrenOf(component.nodes).of(node)}
              nothing="nothing; place something with the slot selected, and that stands there"
            />
          </td>
        </tr>
      </tbody>
    </HeadedTable>
  );
}

/** Which components a slot takes; anything, where none is named. */
function Taken({
  component,
  slot,
  made,
}: {
  component: ComponentDoc;
  slot: string;
  made: Slot;
}): ReactNode {
  const { documents } = useDerived();
  const sync = useSync();
  const args = { component: component.id, slot };
  const others = allOf(documents, 'component').filter(({ id }) => id !== component.id);
  const allowed = Object.keys(made.allows ?? {});
  return (
    <span className="chips">
      {allowed.map((each) => {
        const name = shortName(others.find(({ id }) => id === each)?.name ?? 'gone');
        const rest = Object.fromEntries(
          allowed.filter((id) => id !== each).map((id) => [id, true as const]),
        );
        return (
          <button
            key={each}
            type="button"
            className="chip"
            aria-label={`${name}: no longer taken`}
            onClick={() =>
              sync.edit({
                name: 'setSlot',
                args: { ...args, set: { allows: allowed.length > 1 ? rest : null } },
              })
            }
          >
            {name} ×
          </button>
        );
      })}
      <ChoiceCell
        label="What the slot takes"
        chosen={undefined}
        placeholder={allowed.length === 0 ? 'anything; limit it to …' : 'and …'}
        options={others
          .filter(({ id }) => !allowed.includes(id))
          .map(({ id, name }) => ({ value: id, label: shortName(name) }))}
        onChoose={(chosen) =>
          sync.edit({
            name: 'setSlot',
            args: {
              ...args,
              set: { allows: { ...made.allows, [chosen]: true } },
            },
          })
        }
      />
    </span>
  );
}

/** What stands in a slot, each leading to it. */
function Standing({
  doc,
  nodes,
  nothing,
}: {
  doc: TreeDoc;
  nodes: readonly NodeId[];
  nothing: string;
}): ReactNode {
  const { documents } = useDerived();
  const dispatch = useAppDispatch();
  if (nodes.length === 0) return <span className="quiet">{nothing}</span>;
  return nodes.map((node) => (
    <button
      key={node}
      type="button"
      className="as-link in-row"
      onClick={() => dispatch(benchActions.select({ doc: doc.id, nodes: [node] }))}
    >
      {nodeName(documents, doc.nodes[node]!, doc)}
    </button>
  ));
}

/** A slot of an instance: what fills it here, and how it is filled. */
export function FilledSlot({ selected, slot }: { selected: Selected; slot: string }): ReactNode {
  const { documents } = useDerived();
  const dispatch = useAppDispatch();
  const { doc, id, component } = selected;
  const made = component && own(component.slots, slot);
  if (!made) return <p className="ledger-empty">The component has no such slot any more.</p>;
  const takes = Object.keys(made.allows ?? {}).flatMap((each) => {
    const name = allOf(documents, 'component').find((other) => other.id === each)?.name;
    return name === undefined ? [] : [shortName(name)];
  });
  const standsThere = inOrder(component.slots).length;
  return (
    <HeadedTable
      label={`The slot ${made.label}`}
      heads={[{ unseen: 'Group' }, 'Of the slot', { name: 'Value', width: 'half' }]}
    >
      <tbody>
        <tr>
          <GroupCell label={made.label} rows={3} />
          <th scope="row">takes</th>
          <td>
            {takes.length > 0 ? takes.join(', ') : 'anything'}
            {made.most === undefined ? '' : `, at most ${made.most}`}
          </td>
        </tr>
        <tr>
          <th scope="row">holds</th>
          <td>
            <Standing
              doc={doc}
              nodes={childrenOf(doc.nodes).of(id, slot)}
              nothing="nothing here: what the definition has in store stands there"
            />
          </td>
        </tr>
        <tr>
          <th scope="row">fill it</th>
          <td>
            <button
              type="button"
              className="as-link"
              onClick={() => dispatch(benchActions.showGoLine(true))}
            >
              place something in it
            </button>{' '}
            <span className="quiet">
              <kbd>g</kbd>, drag from the shelf, or paste
              {standsThere > 1 ? `; ${count(standsThere, 'slot')} in all` : ''}
            </span>
          </td>
        </tr>
      </tbody>
    </HeadedTable>
  );
}
