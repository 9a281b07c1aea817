import type { ReactNode } from 'react';
import { controlsOf, type ControlRow } from '@sormet/core/edit';
import { HeadedTable } from '../parts/HeadedTable';
import { useDerived } from '../site/SiteProvider';
import { AddAttribute } from './AddAttribute';
import { ControlLine } from './ControlLine';
import { NameRow } from './NameRow';
import { PartRow } from './PartRow';
import { LiftGroups } from './property/LiftGroups';
import { TagRow } from './TagRow';
import { HeldRows } from './states/HeldRows';
import type { Selected } from './use-selected';
import { useWhatFits } from './WhatFits';

/** The controls of an element: its value, what it is bound to, and in a definition what it is exposed as. */
export function ElementValues({ selected }: { selected: Selected }): ReactNode {
  const { documents } = useDerived();
  const { doc, id, node } = selected;
  const fits = useWhatFits(selected);
  const inDefinition = doc.kind === 'component';
  // How something looks is said under Style; in a definition it can be exposed here.
  const isLook = ({ control: { of } }: ControlRow) => of === 'declaration' || of === 'chosen';
  const rows = controlsOf(documents, doc, id).filter(
    (row) =>
      (row.element === id || (node.kind === 'text' && row.node === id)) &&
      (inDefinition || !isLook(row)),
  );
  const own =
    node.kind === 'text'
      ? controlsOf(documents, doc, node.place.parent ?? id).filter((row) => row.node === id)
      : rows;
  return (
    <>
      {fits.offers}
      {doc.kind === 'component' ? <LiftGroups selected={selected} rows={own} /> : null}
      <HeadedTable
        label="Values of the element"
        heads={[
          'Control',
          { name: 'Value', width: 'wide' },
          {
            name: (
              <span className="head-with-action">
                {' '}
                {inDefinition ? 'Exposed as' : 'Bound to'} {inDefinition ? null : fits.button}{' '}
              </span>
            ),
            width: inDefinition ? 'wide' : 'binding',
          },
          { name: inDefinition ? 'Group and help' : '', width: inDefinition ? 'wide' : undefined },
        ]}
      >
        <tbody>
          <NameRow doc={doc.id} node={id} name={node.name ?? ''} columns={4} />
          <TagRow selected={selected} />
          <PartRow selected={selected} />
          {own.map((row) => (
            <ControlLine
              key={row.node + JSON.stringify(row.control)}
              selected={selected}
              row={row}
            />
          ))}
          {selected.component ? (
            <HeldRows doc={doc.id} node={id} component={selected.component} />
          ) : null}
          <AddAttribute selected={selected} />
        </tbody>
      </HeadedTable>
    </>
  );
}
