import { useState, type ReactNode } from 'react';
import { ArrowDown, ArrowUp, X } from 'lucide-react';
import {
  inOrder,
  newId,
  orderBetween,
  rootOf,
  type ComponentDoc,
  type Property,
  type PropertyId,
} from '@sormet/core/model';
import { useSync } from '../../site/SiteProvider';
import { benchActions } from '../../store/bench-slice';
import { useAppDispatch } from '../../store/store';
import { ChoiceCell } from '../../values/ChoiceCell';
import { DraftField } from '../../values/DraftField';
import { IconButton } from './IconButton';
import { AddProperty } from './property/AddProperty';
import { TypeCell } from './property/TypeCell';
import { unconnected } from './property/unconnected';
import { groupsOf } from './property-groups';
import './property/property.css';

/** What a definition exposes, in the order in which it is set: named, grouped, ordered, helped, required. */
export function PropertiesTable({ component }: { component: ComponentDoc }): ReactNode {
  const dispatch = useAppDispatch();
  const groups = groupsOf(component.properties, component.groups);
  if (groups.length === 0)
    return (
      <>
        <p className="ledger-empty">
          Nothing is exposed yet: every instance looks like this definition.{' '}
          <button
            type="button"
            className="as-link"
            onClick={() =>
              dispatch(benchActions.select({ doc: component.id, nodes: [rootOf(component.nodes)] }))
            }
          >
            Choose what may differ
          </button>
        </p>
        <AddProperty component={component} />
      </>
    );
  const order = groups.flatMap(({ rows }) => rows.map(([id]) => id));
  return (
    <>
      <table className="ledger-table values" aria-label="Properties of the definition">
        <thead>
          <tr>
            <th scope="col" className="group-column">
              Group
            </th>
            <th scope="col" className="named">
              Property
            </th>
            <th scope="col" className="key-column">
              Key
            </th>
            <th scope="col" className="type-column">
              Type
            </th>
            <th scope="col" className="wide">
              In group
            </th>
            <th scope="col">Required</th>
            <th scope="col" title="Only typed values: no content is offered for it">
              Typed only
            </th>
            <th scope="col" className="half">
              Help for whoever sets it
            </th>
            <th scope="col" className="tick" />
          </tr>
        </thead>
        {groups.map(({ key, label, rows }) => (
          <tbody key={key}>
            {rows.map(([id, made], i) => (
              <PropertyLine
                key={id}
                component={component}
                id={id}
                made={made}
                order={order}
                group={
                  i > 0 ? null : (
                    <th scope="rowgroup" rowSpan={rows.length} className="ledger-group">
                      {key === '' ? (
                        label
                      ) : (
                        <DraftField
                          label={`Name of the group ${label}`}
                          stored={label}
                          edit={(typed) => ({
                            name: 'setGroup',
                            args: { component: component.id, group: key, set: { label: typed } },
                          })}
                        />
                      )}
                    </th>
                  )
                }
              />
            ))}
          </tbody>
        ))}
      </table>
      <AddProperty component={component} />
    </>
  );
}

function PropertyLine({
  component,
  id,
  made,
  order,
  group,
}: {
  component: ComponentDoc;
  id: PropertyId;
  made: Property;
  /** All properties as they stand, across groups. */
  order: readonly PropertyId[];
  group: ReactNode;
}): ReactNode {
  const sync = useSync();
  const [session] = useState(newId);
  const args = { component: component.id, property: id };
  const { properties, groups } = component;
  const isLoose = unconnected(component).has(id);
  const groupOf = (each: string | null) =>
    each === null || !groups[each] ? null : { id: each, ...groups[each] };
  /** One step up or down: past the neighbour, and where that stands in another group, into that group. */
  const step = (by: -1 | 1) => {
    const to = order.indexOf(id) + by;
    const neighbour = order[to];
    if (neighbour === undefined) return;
    const other = properties[neighbour]!;
    const beyond = order[to + by];
    const same = (each: PropertyId | undefined) =>
      each !== undefined && properties[each]!.group === other.group
        ? properties[each]!.order
        : null;
    const near = other.order;
    const far = same(beyond);
    const between =
      other.group === made.group
        ? by < 0
          ? orderBetween(far, near)
          : orderBetween(near, far)
        : by < 0
          ? orderBetween(near, null)
          : orderBetween(null, near);
    sync.edit({
      name: 'setProperty',
      args: { ...args, set: { place: { group: groupOf(other.group), order: between } } },
    });
  };
  const regroup = (chosen: string) => {
    const last = inOrder(groups).at(-1)?.[1].order ?? null;
    const next =
      chosen === ''
        ? null
        : chosen === 'new'
          ? { id: newId(), label: made.label, order: orderBetween(last, null) }
          : groupOf(chosen);
    sync.edit({
      name: 'setProperty',
      args: { ...args, set: { place: { group: next, order: made.order } } },
    });
  };
  return (
    <tr>
      {group}
      <td className={isLoose ? 'cell definition wins is-loose' : 'cell definition wins'}>
        <input
          className="plain-field"
          aria-label={`Label of ${made.key}`}
          value={made.label}
          title={isLoose ? 'Nothing is connected to it' : undefined}
          maxLength={120}
          onChange={({ target }) =>
            target.value.trim() &&
            sync.edit(
              { name: 'labelProperty', args: { ...args, label: target.value } },
              { group: `${session} label` },
            )
          }
        />
      </td>
      <td className="cell">
        <DraftField
          mono
          label={`Key of ${made.label}`}
          stored={made.key}
          edit={(key) => ({ name: 'setProperty', args: { ...args, set: { key } } })}
        />
      </td>
      <td className="cell">
        <TypeCell component={component} property={id} />
      </td>
      <td className="cell">
        <ChoiceCell
          label={`Group of ${made.label}`}
          chosen={made.group ?? ''}
          options={[
            { value: '', label: 'none' },
            ...inOrder(groups).map(([value, { label }]) => ({ value, label })),
            { value: 'new', label: 'a new group' },
          ]}
          onChoose={regroup}
        />
      </td>
      <td className="cell tick">
        <input
          type="checkbox"
          aria-label={`${made.label} is required`}
          checked={made.required === true}
          onChange={({ target }) =>
            sync.edit({
              name: 'setProperty',
              args: { ...args, set: { required: target.checked } },
            })
          }
        />
      </td>
      <td className="cell tick">
        <input
          type="checkbox"
          aria-label={`${made.label} takes typed values only`}
          checked={made.typedOnly === true}
          onChange={({ target }) =>
            sync.edit({
              name: 'setProperty',
              args: { ...args, set: { typedOnly: target.checked } },
            })
          }
        />
      </td>
      <td className="cell">
        <DraftField
          label={`Help for ${made.label}`}
          stored={made.help ?? ''}
          edit={(help) => ({ name: 'setProperty', args: { ...args, set: { help } } })}
        />
      </td>
      <td className="tight">
        <span className="cell-actions">
          <IconButton
            icon={ArrowUp}
            name={`${made.label}: further up`}
            title="Further up"
            onPress={() => step(-1)}
          />
          <IconButton
            icon={ArrowDown}
            name={`${made.label}: further down`}
            title="Further down"
            onPress={() => step(1)}
          />
          <IconButton
            icon={X}
            name={`Take back ${made.label}`}
            title="Take it back: its controls hold the default again"
            onPress={() => sync.edit({ name: 'unexpose', args })}
          />
        </span>
      </td>
    </tr>
  );
}
