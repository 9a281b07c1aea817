import { useState, type ReactNode } from 'react';
import { Button, Popconfirm, Tooltip } from 'antd';
import { Undo2, Milestone } from 'lucide-react';
import {
  inOrder,
  newId,
  type Property,
  type PropertyId,
  type Source,
  type Typed,
  type WhenEmpty,
  own,
  BOOLEAN,
  literal,
} from '@sormet/core/model';
import type { ResolvedGroup } from '@sormet/core/resolve';
import type { Known } from '@sormet/core/value';
import { useDerived, useSync } from '../../site/SiteProvider';
import { fieldLabel, fittingFields } from '../../values/fields';
import { ShowValue } from '../../values/show-value';
import { valueWords } from '../../values/value-words';
import { ValueEditor } from '../../values/ValueEditor';
import type { Selected } from '../use-selected';
import { count } from '../words';
import { BoundTo } from './BoundTo';
import { keepFocus } from './keep-focus';
import { NameRow } from './NameRow';

/** The values of an instance: for each property its default, what is set here, what it is bound to, what shows. */
export function InstanceValues({ selected }: { selected: Selected }): ReactNode {
  const { component, node, doc, id } = selected;
  if (!component || node.kind !== 'instance') return null;
  const groups = groupsOf(component.properties, component.groups);
  return (
    <table className="ledger-table" aria-label={`Values of ${component.name}`}>
      <colgroup>
        <col style={{ width: 150 }} />
        <col style={{ width: '18%' }} />
        <col style={{ width: '22%' }} />
        <col style={{ width: '24%' }} />
        <col />
      </colgroup>
      <thead>
        <tr>
          <th scope="col">Property</th>
          <th scope="col">Default</th>
          <th scope="col">Set here</th>
          <th scope="col">Bound to</th>
          <th scope="col">Shows</th>
        </tr>
      </thead>
      <tbody>
        <tr className="ledger-group">
          <th colSpan={5} scope="colgroup">
            This instance
          </th>
        </tr>
        <NameRow doc={doc.id} node={id} name={node.name ?? ''} columns={5} />
        <ShownRow selected={selected} />
      </tbody>
      {groups.map(({ key, label, rows }) => (
        <tbody key={key}>
          <tr className="ledger-group">
            <th colSpan={5} scope="colgroup">
              {label}
            </th>
          </tr>
          {rows.map(([property, made]) => (
            <PropertyRow key={property} selected={selected} property={property} made={made} />
          ))}
        </tbody>
      ))}
      {Object.keys(component.properties).length === 0 ? (
        <tbody>
          <tr>
            <td colSpan={5} className="quiet">
              Nothing is exposed yet. Open the definition with <kbd>b</kbd>, tick what may differ,
              and it can be set here.
            </td>
          </tr>
        </tbody>
      ) : null}
    </table>
  );
}

/** Properties by group in order; those without a group under one heading of their own. */
export function groupsOf(
  properties: Readonly<Record<PropertyId, Property>>,
  groups: Readonly<Record<string, { label: string; order: string }>>,
): { key: string; label: string; rows: [PropertyId, Property][] }[] {
  const sorted = inOrder(properties);
  const found = inOrder(groups).map(([key, { label }]) => ({
    key,
    label,
    rows: sorted.filter(([, { group }]) => group === key),
  }));
  const alone = sorted.filter(([, { group }]) => group === null || !own(groups, group));
  return [
    ...found.filter(({ rows }) => rows.length > 0),
    ...(alone.length > 0 ? [{ key: '', label: 'Properties', rows: alone }] : []),
  ];
}

function PropertyRow({
  selected,
  property,
  made,
}: {
  selected: Selected;
  property: PropertyId;
  made: Property;
}): ReactNode {
  const { documents, reach } = useDerived();
  const sync = useSync();
  const { node, doc, id, component } = selected;
  const [session] = useState(newId);
  if (node.kind !== 'instance' || !component) return null;
  const source: Source | undefined = own(node.values, property);
  const set = source?.is === 'value' ? source : undefined;
  const bound = source?.is === 'field' ? source : undefined;
  const lifted = source?.is === 'property' ? source : undefined;
  const shows = shownValue(selected, property);
  const control = { of: 'value' as const, property };
  const give = (next: Source | null, group: string | null = null) =>
    sync.edit(
      { name: 'setControl', args: { doc: doc.id, node: id, control, source: next } },
      { group: group === null ? null : `${session} ${property} ${group}` },
    );
  const placed = reach.usesOf(component.id).filter(({ kind }) => kind === 'places').length;
  const setters = reach.settersOf(component.id, property).length;
  const follow = placed - setters;
  const winner = set ? 'set' : bound || lifted ? 'bound' : 'default';
  return (
    <tr>
      <th scope="row">
        <Tooltip title={made.help ?? `key: ${made.key}`}>{made.label}</Tooltip>
      </th>
      <td className={winner === 'default' ? 'cell default wins' : 'cell default'}>
        <ShowValue documents={documents} value={literalOf(made.default)} />
      </td>
      <td className={winner === 'set' ? 'cell set wins' : 'cell set'}>
        <div className="cell-with-actions">
          <ValueEditor
            type={made.type}
            value={set as Typed | undefined}
            label={`${made.label}, set here`}
            placeholder={set && valueWords(documents, set as Typed) === 'nothing' ? 'empty' : ''}
            onChange={(value, group) => give(literal(value), group)}
          />
          {set ? (
            <span className="cell-actions">
              <Tooltip title="Back to default">
                <Button
                  size="small"
                  type="text"
                  aria-label={`${made.label}: back to default`}
                  icon={<Undo2 size={13} />}
                  onMouseDown={keepFocus}
                  onClick={() => give(null)}
                />
              </Tooltip>
              <Popconfirm
                title={`Make “${short(valueWords(documents, set as Typed))}” the default?`}
                description={`${count(follow, 'other instance')} ${follow === 1 ? 'follows' : 'follow'} it, ${setters - 1 === 0 ? 'none keeps its own' : `${setters - 1} ${setters - 1 === 1 ? 'keeps its' : 'keep their'} own`}.`}
                okText="Make it the default"
                cancelText="Leave it"
                onConfirm={() =>
                  sync.edit({ name: 'makeDefault', args: { doc: doc.id, node: id, property } })
                }
              >
                <Button
                  size="small"
                  type="text"
                  aria-label={`${made.label}: make it the default`}
                  title="Make it the default"
                  onMouseDown={keepFocus}
                  icon={<Milestone size={13} />}
                />
              </Popconfirm>
            </span>
          ) : null}
        </div>
      </td>
      <td className={winner === 'bound' ? 'cell bound wins' : 'cell bound'}>
        {lifted ? (
          <span className="cell-words">a property of this definition</span>
        ) : (
          <BoundTo
            label={made.label}
            fields={fittingFields(documents, doc, id, made.type)}
            bound={bound}
            boundLabel={bound ? fieldLabel(documents, doc, bound) : ''}
            onBind={(next) => give(next)}
            onRelease={() => give(null)}
            whenEmpty={['default', 'nothing', 'hide']}
          />
        )}
      </td>
      <td className="cell shows">
        <span className="shows-row">
          <ShowValue documents={documents} value={shows} />
          <span className="origin">{originWord(winner, bound, shows, made, documents)}</span>
        </span>
      </td>
    </tr>
  );
}

/** Whether the instance itself is shown. */
function ShownRow({ selected }: { selected: Selected }): ReactNode {
  const { documents } = useDerived();
  const sync = useSync();
  const { node, doc, id } = selected;
  if (node.kind !== 'instance') return null;
  const source = node.shown;
  const set = source?.is === 'value' ? (source as Typed) : undefined;
  const bound = source?.is === 'field' ? source : undefined;
  const give = (next: Source | null) =>
    sync.edit({
      name: 'setControl',
      args: { doc: doc.id, node: id, control: { of: 'shown' }, source: next },
    });
  return (
    <tr>
      <th scope="row">shown</th>
      <td className={source ? 'cell default' : 'cell default wins'}>yes</td>
      <td className={set ? 'cell set wins' : 'cell set'}>
        <div className="cell-with-actions">
          <ValueEditor
            type={BOOLEAN}
            value={set}
            label="shown, set here"
            onChange={(value) => give(literal(value))}
          />
          {set ? (
            <span className="cell-actions">
              <Button
                size="small"
                type="text"
                aria-label="shown: back to default"
                icon={<Undo2 size={13} />}
                onMouseDown={keepFocus}
                onClick={() => give(null)}
              />
            </span>
          ) : null}
        </div>
      </td>
      <td className={bound ? 'cell bound wins' : 'cell bound'}>
        <BoundTo
          label="shown"
          fields={fittingFields(documents, doc, id, BOOLEAN)}
          bound={bound}
          boundLabel={bound ? fieldLabel(documents, doc, bound) : ''}
          onBind={(next) => give(next)}
          onRelease={() => give(null)}
          whenEmpty={['nothing']}
        />
      </td>
      <td className="cell shows">
        <span className="shows-row">
          <span className="value-words">{selected.resolved ? 'yes' : 'no'}</span>
          <span className="origin">{set ? 'set here' : bound ? 'bound' : 'default'}</span>
        </span>
      </td>
    </tr>
  );
}

function literalOf(source: Source): Typed | null {
  return source.is === 'value' ? (source as Typed) : null;
}

/** The value that a property shows on this instance, for the entry that is looked at. */
function shownValue({ resolved, node, component }: Selected, property: PropertyId): Known {
  if (resolved?.kind === 'group')
    return (own((resolved as ResolvedGroup).inner.properties, property) ?? null) as Known;
  // An instance that is not shown has no resolved values: what it would show is what it says.
  const source =
    node.kind === 'instance'
      ? (own(node.values, property) ?? (component && own(component.properties, property)?.default))
      : undefined;
  return source?.is === 'value' ? (source as Typed) : null;
}

function originWord(
  winner: 'default' | 'set' | 'bound',
  bound: Source | undefined,
  shows: Known,
  made: Property,
  documents: ReturnType<typeof useDerived>['documents'],
): string {
  if (winner === 'default') return 'default';
  if (winner === 'set') return 'set here';
  const fellBack =
    whenEmptyOf(bound) === 'default' &&
    valueWords(documents, shows) === valueWords(documents, literalOf(made.default));
  return fellBack ? 'empty, so default' : 'bound';
}

function whenEmptyOf(source: Source | undefined): WhenEmpty | undefined {
  return source?.whenEmpty;
}

function short(words: string): string {
  return words.length > 40 ? words.slice(0, 38) + '…' : words;
}
