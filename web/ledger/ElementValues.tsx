import { useState, type ReactNode } from 'react';
import {
  docOf,
  inOrder,
  literal,
  newId,
  own,
  pointer,
  attributeWords,
  usualAttributesOf,
  type Source,
  type Typed,
} from '@sormet/core/model';
import { canBeExposed, controlPath, controlsOf, type ControlRow } from '@sormet/core/edit';
import { HeadedTable } from '../parts/HeadedTable';
import { RefusedMark, useRefused } from '../site/RefusedMark';
import { useDerived, useSync } from '../site/SiteProvider';
import { feeds } from '@sormet/core/value';
import { ChoiceCell } from '../parts/ChoiceCell';
import { fieldLabel, fittingFields } from '../values/fields';
import { ValueCell } from '../values/ValueCell';
import type { Selected } from './use-selected';
import { AddAttribute } from './AddAttribute';
import { AttributeCell } from './AttributeCell';
import { BoundTo } from './BoundTo';
import { exposureOf, useExposing } from './exposing';
import { useConnecting } from './property/Connecting';
import { useTakingBack } from './property/TakeBack';
import { NameRow } from './NameRow';
import { PartRow } from './PartRow';
import { TagRow } from './TagRow';
import { TraceButton } from './TraceButton';
import { useWhatFits } from './WhatFits';
import { LiftGroups } from './property/LiftGroups';
import { holdsAt } from './what-shows';

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
          <AddAttribute selected={selected} />
        </tbody>
      </HeadedTable>
    </>
  );
}

function ControlLine({ selected, row }: { selected: Selected; row: ControlRow }): ReactNode {
  const { documents } = useDerived();
  const sync = useSync();
  const exposing = useExposing();
  const [session] = useState(newId);
  const { doc } = selected;
  const component = docOf(documents, 'component', doc.id);
  const { source, control, node } = row;
  const connecting = useConnecting(component);
  const takingBack = useTakingBack(component);
  const path = pointer('nodes', node, ...controlPath(control));
  const isRefused = useRefused(doc.id, path);
  const property =
    source?.is === 'property' && component ? own(component.properties, source.property) : undefined;
  const field = source?.is === 'field' ? source : undefined;
  const feeding = component
    ? inOrder(component.properties).filter(([, { type }]) => feeds(type.kind, row.type.kind))
    : [];
  const give = (next: Source | null, group: string | null = null) =>
    sync.edit(
      { name: 'setControl', args: { doc: doc.id, node, control, source: next } },
      { group: group === null ? null : `${session} ${group}` },
    );
  const change = (value: Typed, group: string | null) => {
    const given = literal(value);
    if (component && source?.is === 'property')
      sync.edit(
        {
          name: 'setDefault',
          args: { component: component.id, property: source.property, value: given },
        },
        { group: group === null ? null : `${session} ${group}` },
      );
    else give(given, group);
  };
  const value = (property ? property.default : source) as Typed | undefined;
  const stored = own(doc.nodes, node);
  const isUsual =
    control.of === 'attribute' &&
    stored?.kind === 'element' &&
    usualAttributesOf(stored.tag).includes(control.name);
  const isOther =
    control.of === 'attribute' &&
    row.type.kind === 'text' &&
    !field &&
    !property &&
    stored?.kind === 'element' &&
    (!isUsual || attributeWords(stored.tag, control.name) !== undefined);
  const words = value?.type === 'text' ? (value.value ?? '') : '';
  return (
    <tr>
      <th scope="row">
        {control.of === 'chosen' && control.what === 'tag' ? 'tag, chosen' : row.what}
      </th>
      <td className={`cell ${field ? '' : 'set wins'} ${isRefused ? 'is-wrong' : ''}`}>
        <div className="cell-with-actions">
          {isOther ? (
            <AttributeCell
              doc={doc.id}
              node={node}
              tag={stored.tag}
              name={control.name}
              text={words}
              usual={isUsual}
            />
          ) : (
            <ValueCell
              type={row.type}
              value={field ? undefined : (value ?? row.byDefault)}
              label={`${row.elementName} ${row.what}`}
              onChange={change}
            />
          )}
          <RefusedMark doc={doc.id} path={path} />
        </div>
      </td>
      {component ? (
        <>
          <td className={property ? 'cell definition wins' : 'cell'}>
            {property && source?.is === 'property' ? (
              <input
                className="plain-field"
                aria-label={`${row.what}, exposed as`}
                value={property.label}
                onChange={({ target }) =>
                  target.value.trim() &&
                  sync.edit(
                    {
                      name: 'labelProperty',
                      args: {
                        component: component.id,
                        property: source.property,
                        label: target.value,
                      },
                    },
                    { group: `${session} label` },
                  )
                }
              />
            ) : (
              <span className="shows-row">
                {canBeExposed(row) ? (
                  <button
                    type="button"
                    className="as-link"
                    onClick={() => exposing.expose(component, [exposureOf(row)])}
                  >
                    expose
                  </button>
                ) : field ? (
                  <span className="cell-words quiet">
                    bound to {fieldLabel(documents, doc, field)}
                  </span>
                ) : null}
                {feeding.length > 0 ? (
                  <ChoiceCell
                    label={`${row.elementName} ${row.what}, from a property there is`}
                    chosen={undefined}
                    placeholder="or from …"
                    options={feeding.map(([value, { label }]) => ({ value, label }))}
                    onChoose={(chosen) => connecting.connect(chosen, [row])}
                  />
                ) : null}
              </span>
            )}
          </td>
          <td className="cell">
            {property && source?.is === 'property' ? (
              <span className="shows-row">
                <span className="cell-words">
                  {property.group ? (own(component.groups, property.group)?.label ?? '') : ''}{' '}
                  <span className="quiet">key {property.key}</span>
                </span>
                <button
                  type="button"
                  className="as-link"
                  onClick={() => takingBack.takeBack([source.property])}
                >
                  take back
                </button>
              </span>
            ) : null}
            {connecting.asked}
            {takingBack.asked}
          </td>
        </>
      ) : (
        <>
          <td className={field ? 'cell bound tight wins' : 'cell bound tight'}>
            <BoundTo
              label={`${row.elementName} ${row.what}`}
              fields={() => fittingFields(documents, doc, node, row.type)}
              holds={holdsAt(documents, selected, row.type)}
              bound={field}
              boundLabel={field ? fieldLabel(documents, doc, field) : ''}
              onBind={(next) => give(next)}
              onRelease={() => give(row.byDefault)}
              whenEmpty={['nothing', 'hide']}
            />
          </td>
          <td className="cell">
            <span className="cell-actions">
              <TraceButton label={row.what} />
            </span>
          </td>
        </>
      )}
    </tr>
  );
}
