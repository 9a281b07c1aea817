import type { ReactNode } from 'react';
import { canBeExposed, type ControlRow } from '@sormet/core/edit';
import { boundIn, inOrder, own, type ComponentDoc, type PropertyId } from '@sormet/core/model';
import { feeds } from '@sormet/core/value';
import { ChoiceCell } from '../parts/ChoiceCell';
import { useDerived, useSync } from '../site/SiteProvider';
import { fieldLabel } from '../values/fields';
import { exposureOf, useExposing } from '../values/exposing';
import { useConnecting } from './property/Connecting';
import { useTakingBack } from './property/TakeBack';
import { useExposeAndBind } from './use-expose-and-bind';

/** What feeds a control of a definition: the property it is exposed as, with its group and key, or what could feed it. */
export function ExposedCells({
  component,
  row,
  session,
}: {
  component: ComponentDoc;
  row: ControlRow;
  /** Under which name what is typed here is one step. */
  session: string;
}): ReactNode {
  const connecting = useConnecting(component);
  const takingBack = useTakingBack(component);
  const { source } = row;
  const id = source?.is === 'property' ? source.property : undefined;
  const property = id === undefined ? undefined : own(component.properties, id);
  return (
    <>
      <td className={property ? 'cell definition wins' : 'cell'}>
        {id !== undefined && property ? (
          <PropertyLabel component={component} property={id} row={row} session={session} />
        ) : (
          <WaysToFeed
            component={component}
            row={row}
            onConnect={(chosen) => connecting.connect(chosen, [row])}
          />
        )}
      </td>
      <td className="cell">
        {id !== undefined && property ? (
          <span className="shows-row">
            <span className="cell-words">
              {property.group ? (own(component.groups, property.group)?.label ?? '') : ''}{' '}
              <span className="quiet">key {property.key}</span>
            </span>
            <button type="button" className="as-link" onClick={() => takingBack.takeBack([id])}>
              take back
            </button>
          </span>
        ) : null}
        {connecting.asked}
        {takingBack.asked}
      </td>
    </>
  );
}

/** How the property is called, changed where it stands. */
function PropertyLabel({
  component,
  property,
  row,
  session,
}: {
  component: ComponentDoc;
  property: PropertyId;
  row: ControlRow;
  session: string;
}): ReactNode {
  const sync = useSync();
  return (
    <input
      className="plain-field"
      aria-label={`${row.what}, exposed as`}
      value={component.properties[property]!.label}
      onChange={({ target: { value: label } }) => {
        if (label.trim() !== '')
          sync.edit(
            { name: 'labelProperty', args: { component: component.id, property, label } },
            { group: `${session} label` },
          );
      }}
    />
  );
}

/** What could feed it: a property of its own, or one that is there already. */
function WaysToFeed({
  component,
  row,
  onConnect,
}: {
  component: ComponentDoc;
  row: ControlRow;
  onConnect: (property: PropertyId) => void;
}): ReactNode {
  const { documents } = useDerived();
  const exposing = useExposing();
  const { source } = row;
  const { fields, bind } = useExposeAndBind(component, row);
  const feeding = inOrder(component.properties).filter(([, { type }]) =>
    feeds(type.kind, row.type.kind),
  );
  return (
    <span className="shows-row">
      {canBeExposed(row) ? (
        <button
          type="button"
          className="as-link"
          onClick={() => exposing.expose(component, [exposureOf(row)])}
        >
          expose
        </button>
      ) : source && boundIn(source) ? (
        <span className="cell-words quiet">
          bound to {fieldLabel(documents, component, boundIn(source)!)}
        </span>
      ) : null}
      {feeding.length > 0 ? (
        <ChoiceCell
          label={`${row.elementName} ${row.what}, from a property there is`}
          chosen={undefined}
          placeholder="or from …"
          options={feeding.map(([value, { label }]) => ({ value, label }))}
          onChoose={onConnect}
        />
      ) : null}
      {fields.length > 0 ? (
        <ChoiceCell
          label={`${row.elementName} ${row.what}, exposed and bound to`}
          chosen={undefined}
          placeholder="and bind to …"
          options={fields.map(({ key, label }) => ({ value: key, label }))}
          onChoose={(chosen) => {
            const field = fields.find(({ key }) => key === chosen);
            if (field) bind(field);
          }}
        />
      ) : null}
    </span>
  );
}
