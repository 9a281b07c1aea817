import { useMemo, type ReactNode } from 'react';
import { rootOf, type ComponentDoc } from '@sormet/core/model';
import { HeadedTable } from '../parts/HeadedTable';
import { benchActions } from '../store/bench-slice';
import { useAppDispatch } from '../store/store';
import { AddProperty } from './property/AddProperty';
import { GroupHead } from './property/GroupHead';
import { OrderedByDragging } from '../parts/grouped/OrderedByDragging';
import { groupsOf } from '../parts/grouped/groups-of';
import { useSync } from '../site/SiteProvider';
import { standingOfProperties } from './property/standing-of-properties';
import { PropertyLine } from './property/PropertyLine';
import { TakeBackLoose } from './property/TakeBackLoose';
import './property/property.css';

/** What a definition exposes, in the order in which it is set: named, grouped, ordered, helped, required. */
export function PropertiesTable({ component }: { component: ComponentDoc }): ReactNode {
  const dispatch = useAppDispatch();
  const sync = useSync();
  const groups = useMemo(
    () => groupsOf(component.properties, component.groups, 'Properties'),
    [component.properties, component.groups],
  );
  const standing = useMemo(
    () =>
      standingOfProperties(
        component,
        groups.flatMap(({ rows }) => rows.map(([id]) => id)),
        sync,
      ),
    [component, groups, sync],
  );
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
  return (
    <>
      <OrderedByDragging standing={standing}>
        <HeadedTable
          label="Properties of the definition"
          heads={[
            { name: 'Group', width: 'group-column' },
            { name: 'Property', width: 'named' },
            { name: 'Key', width: 'key-column' },
            { name: 'Type', width: 'type-column' },
            { name: 'In group', width: 'wide' },
            'Required',
            { name: 'Typed only', title: 'Only typed values: no content is offered for it' },
            {
              name: 'State',
              title: 'Visitors change it: what it is set to is what it is at first',
            },
            { name: 'Help', title: 'For whoever sets it', width: 'half' },
            { width: 'tick' },
          ]}
        >
          {groups.map(({ key, label, rows }) => (
            <tbody key={key}>
              {rows.map(([id, made], i) => (
                <PropertyLine
                  key={id}
                  component={component}
                  id={id}
                  made={made}
                  standing={standing}
                  group={
                    i > 0 ? null : (
                      <GroupHead component={component} group={key} label={label} rows={rows} />
                    )
                  }
                />
              ))}
            </tbody>
          ))}
        </HeadedTable>
      </OrderedByDragging>
      <div className="properties-foot">
        <AddProperty component={component} />
        <TakeBackLoose component={component} />
      </div>
    </>
  );
}
