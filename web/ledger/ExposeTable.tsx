import { boundIn, isMade, own } from '@sormet/core/model';
import { useMemo, useState, type ReactNode } from 'react';
import { Button, Checkbox } from 'antd';
import type { ComponentDoc, Typed } from '@sormet/core/model';
import { canBeExposed, controlsOf, type ControlRow } from '@sormet/core/edit';
import { HeadedTable } from '../parts/HeadedTable';
import { useDerived, useSync } from '../site/SiteProvider';
import { fieldLabel } from '../values/fields';
import { ShowValue } from '../values/show-value';
import { count, madeWords } from '../words';
import { exposureOf, useExposing } from '../values/exposing';
import { GroupCell } from './GroupCell';
import { useTakingBack } from './property/TakeBack';

const keyOf = (row: ControlRow) => row.node + JSON.stringify(row.control);

/** Every control of a definition that could be exposed, in screen order: tick many, label in place, expose in one go. */
export function ExposeTable({ component }: { component: ComponentDoc }): ReactNode {
  const { documents } = useDerived();
  const sync = useSync();
  const exposing = useExposing();
  const { takeBack, asked } = useTakingBack(component);
  const rows = useMemo(() => controlsOf(documents, component), [documents, component]);
  const [ticked, setTicked] = useState<ReadonlySet<string>>(new Set());
  const [labels, setLabels] = useState<Readonly<Record<string, string>>>({});
  const free = rows.filter(canBeExposed);
  const exposed = rows.filter(({ source }) => source?.is === 'property').length;
  const chosen = free.filter((row) => ticked.has(keyOf(row)));
  const tick = (keys: readonly string[], on: boolean) => {
    const next = new Set(ticked);
    for (const key of keys) {
      if (on) next.add(key);
      else next.delete(key);
    }
    setTicked(next);
  };
  const exposeTicked = () => {
    const exposures = chosen.map((row) => ({
      ...exposureOf(row),
      label: labels[keyOf(row)]?.trim() || row.label,
    }));
    if (exposing.expose(component, exposures)) setTicked(new Set());
  };
  const groups: { element: string; name: string; rows: ControlRow[] }[] = [];
  for (const row of rows) {
    const last = groups.at(-1);
    if (last?.element === row.element) last.rows.push(row);
    else groups.push({ element: row.element, name: row.elementName, rows: [row] });
  }
  return (
    <>
      <div className="ledger-actions">
        <Checkbox
          checked={chosen.length > 0 && chosen.length === free.length}
          indeterminate={chosen.length > 0 && chosen.length < free.length}
          onChange={({ target }) => tick(free.map(keyOf), target.checked)}
        >
          all that could be exposed
        </Checkbox>
        <span className="quiet">
          {count(exposed, 'control')} exposed, {free.length} not
        </span>
        <Button size="small" type="primary" disabled={chosen.length === 0} onClick={exposeTicked}>
          {chosen.length === 0
            ? 'Expose what is ticked'
            : `Expose ${count(chosen.length, 'control')}`}{' '}
          <kbd>e</kbd>
        </Button>
      </div>
      <HeadedTable
        label="Controls of the definition"
        heads={[
          { unseen: 'Element' },
          'Control',
          { unseen: 'Expose', width: 'tick' },
          { name: 'Value', width: 'wide' },
          { name: 'Exposed as', width: 'wide' },
          { name: 'Key', width: 'wide' },
        ]}
      >
        {groups.map((group, i) => (
          <tbody key={group.element + i}>
            {group.rows.map((row, at) => {
              const key = keyOf(row);
              const id = row.source?.is === 'property' ? row.source.property : undefined;
              const property = id === undefined ? undefined : own(component.properties, id);
              return (
                <tr key={key}>
                  {at === 0 ? <GroupCell label={group.name} rows={group.rows.length} /> : null}
                  <th scope="row">{row.what}</th>
                  <td className="cell tick">
                    {property ? (
                      <span className="exposed-dot" title="exposed">
                        ●
                      </span>
                    ) : !canBeExposed(row) ? null : (
                      <input
                        type="checkbox"
                        checked={ticked.has(key)}
                        aria-label={`Expose ${row.label}`}
                        onChange={({ target }) => tick([key], target.checked)}
                      />
                    )}
                  </td>
                  <td className="cell">
                    {row.source && boundIn(row.source) ? (
                      <span className="cell-words quiet">
                        bound to {fieldLabel(documents, component, boundIn(row.source)!)}
                      </span>
                    ) : isMade(property?.default ?? row.source) ? (
                      <span className="cell-words quiet">
                        {madeWords((property?.default ?? row.source)!)}
                      </span>
                    ) : (
                      <ShowValue
                        documents={documents}
                        value={(property?.default ?? row.source ?? row.byDefault) as Typed}
                      />
                    )}
                  </td>
                  <td className={property ? 'cell definition wins' : 'cell'}>
                    {property || canBeExposed(row) ? (
                      <input
                        className="plain-field"
                        aria-label={`Label of ${row.label}`}
                        placeholder={row.label}
                        value={property ? property.label : (labels[key] ?? '')}
                        onChange={({ target }) => {
                          if (!property) setLabels({ ...labels, [key]: target.value });
                          else if (target.value.trim())
                            sync.edit(
                              {
                                name: 'labelProperty',
                                args: {
                                  component: component.id,
                                  property: id!,
                                  label: target.value,
                                },
                              },
                              { group: `label ${id}` },
                            );
                        }}
                      />
                    ) : null}
                  </td>
                  <td className="cell tight">
                    {property ? (
                      <span className="shows-row">
                        <code>{property.key}</code>
                        <button
                          type="button"
                          className="as-link"
                          aria-label={`Take back ${property.label}`}
                          onClick={() => takeBack([id!])}
                        >
                          take back
                        </button>
                      </span>
                    ) : null}
                  </td>
                </tr>
              );
            })}
          </tbody>
        ))}
      </HeadedTable>
      {asked}
    </>
  );
}
