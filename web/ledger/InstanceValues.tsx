import type { ReactNode } from 'react';
import { HeadedTable } from '../parts/HeadedTable';
import type { Selected } from './use-selected';
import { GroupCell } from './GroupCell';
import { NameRow } from './NameRow';
import { groupsOf } from '../parts/grouped/groups-of';
import { PartsOfInstance } from './PartsOfInstance';
import { PropertyRow } from './PropertyRow';
import { ShownRow } from './ShownRow';
import { useWhatFits } from './WhatFits';

/** The values of an instance: for each property its default, what is set here, what it is bound to, what shows. */
export function InstanceValues({ selected }: { selected: Selected }): ReactNode {
  const { component, node, doc, id } = selected;
  const fits = useWhatFits(selected);
  if (!component || node.kind !== 'instance') return null;
  const groups = groupsOf(component.properties, component.groups, 'Properties');
  return (
    <>
      {fits.offers}
      <HeadedTable
        label={`Values of ${component.name}`}
        heads={[
          { unseen: 'Group' },
          'Property',
          { name: 'Default', width: 'wide' },
          { name: 'Set here', width: 'wide' },
          {
            name: <span className="head-with-action">Bound to {fits.button}</span>,
            width: 'binding',
          },
          { name: 'Shows', width: 'wide' },
        ]}
      >
        <tbody>
          <NameRow
            doc={doc.id}
            node={id}
            name={node.name ?? ''}
            columns={5}
            group={<GroupCell label="This instance" rows={2} />}
          />
          <ShownRow selected={selected} />
        </tbody>
        {groups.map(({ key, label, rows }) => (
          <tbody key={key}>
            {rows.map(([property, made], i) => (
              <PropertyRow
                key={property}
                selected={selected}
                property={property}
                made={made}
                group={label}
                rows={i === 0 ? rows.length : undefined}
              />
            ))}
          </tbody>
        ))}
        <PartsOfInstance selected={selected} />
        {Object.keys(component.properties).length === 0 ? (
          <tbody>
            <tr>
              <td colSpan={6} className="quiet">
                Nothing is exposed yet. Open the definition with <kbd>b</kbd>, tick what may differ,
                and it can be set here.
              </td>
            </tr>
          </tbody>
        ) : null}
      </HeadedTable>
    </>
  );
}
