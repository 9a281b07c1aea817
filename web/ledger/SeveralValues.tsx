import { useMemo, useState, type ReactNode } from 'react';
import { Undo2 } from 'lucide-react';
import { canBeExposed, commonControls, propertyOf, type CommonControl } from '@sormet/core/edit';
import {
  boundIn,
  docOf,
  inOrder,
  literal,
  newId,
  own,
  writtenIn,
  type Documents,
  type Source,
  type Typed,
  isMade,
} from '@sormet/core/model';
import { feeds } from '@sormet/core/value';
import { HeadedTable } from '../parts/HeadedTable';
import { useDerived, useSync } from '../site/SiteProvider';
import { ChoiceCell } from '../parts/ChoiceCell';
import { fieldLabel, fittingFields, type FittingField } from '../values/fields';
import { ValueCell } from '../values/ValueCell';
import { valueWords, count } from '../words';
import type { Selected } from './use-selected';
import { BoundTo } from './BoundTo';
import { exposureOf, useExposing } from '../values/exposing';
import { useConnecting } from './property/Connecting';
import { IconButton } from '../parts/IconButton';
import { holdsAt } from './what-shows';

/** The values that everything selected has, together: what is written, bound, exposed or taken back is so for all, in one step. */
export function SeveralValues({ selected }: { selected: Selected }): ReactNode {
  const { documents } = useDerived();
  const { doc, all } = selected;
  const inDefinition = doc.kind === 'component';
  const nodes = useMemo(() => all.filter((id) => own(doc.nodes, id) !== undefined), [all, doc]);
  const common = useMemo(
    () =>
      commonControls(documents, doc, nodes).filter(
        // How things look is said under Style; in a definition it can be exposed here.
        ({ rows: [row] }) =>
          inDefinition || (row!.control.of !== 'declaration' && row!.control.of !== 'chosen'),
      ),
    [documents, doc, nodes, inDefinition],
  );
  if (common.length === 0)
    return (
      <p className="ledger-empty">
        They have no value in common. What they look like stands under Style, for all of them.
      </p>
    );
  return (
    <HeadedTable
      label="Values of what is selected"
      heads={[
        'Value',
        { name: <>On all {nodes.length}</>, width: 'wide' },
        {
          name: inDefinition ? 'Exposed as' : 'Bound to',
          width: inDefinition ? 'wide' : 'binding',
        },
        { name: 'Now', width: 'standing' },
      ]}
    >
      <tbody>
        {common.map((control) => (
          <CommonLine
            key={control.rows[0]!.node + JSON.stringify(control.rows[0]!.control)}
            selected={selected}
            common={control}
          />
        ))}
      </tbody>
    </HeadedTable>
  );
}

function CommonLine({
  selected,
  common,
}: {
  selected: Selected;
  common: CommonControl;
}): ReactNode {
  const { documents } = useDerived();
  const sync = useSync();
  const [session] = useState(newId);
  const { doc } = selected;
  const { type, rows, holds } = common;
  const first = rows[0]!;
  const made = propertyBehind(documents, selected, common);
  const what = made?.label ?? common.what;
  const label = `${what} of all`;
  const isMixed = holds === 'mixed';
  const source = isMixed ? undefined : holds;
  const value = source?.is === 'value' ? (source as Typed) : undefined;
  const bound = boundIn(source);
  const own = rows.filter(({ source: each }) => each !== undefined);
  const give = (next: Source | null, group: string | null = null) =>
    sync.edit(
      {
        name: 'setControls',
        args: {
          set: rows.map(({ node, control }) => ({ doc: doc.id, node, control, source: next })),
        },
      },
      { group: group === null ? null : `${session} ${group}` },
    );
  const byDefault = writtenIn(made?.default ?? first.byDefault);
  const worked =
    isMade(source) || (source === undefined && made !== undefined && isMade(made.default));
  const shown = source === undefined && !isMixed && !made ? byDefault : value;
  return (
    <tr>
      <th scope="row">{what}</th>
      <td className={value ? 'cell set wins' : 'cell set'}>
        <div className="cell-with-actions">
          <ValueCell
            type={type}
            value={shown}
            label={label}
            begin={byDefault}
            placeholder={
              isMixed
                ? 'mixed'
                : worked
                  ? 'worked out'
                  : source === undefined
                    ? valueWords(documents, byDefault)
                    : ''
            }
            onChange={(next, group) => give(literal(next), group)}
          />
          {own.length > 0 && first.control.of !== 'text' ? (
            <span className="cell-actions">
              <IconButton
                icon={Undo2}
                name={`${label}: back to default`}
                title="Back to default, on all of them"
                onPress={() => give(null)}
              />
            </span>
          ) : null}
        </div>
      </td>
      {doc.kind === 'component' ? (
        <td className="cell">
          <ExposedTogether selected={selected} common={common} />
        </td>
      ) : (
        <td className={bound ? 'cell bound tight wins' : 'cell bound tight'}>
          {made?.typedOnly && !bound ? (
            <span className="cell-words quiet">typed values only</span>
          ) : (
            <BoundTo
              label={label}
              fields={() => fieldsOfAll(documents, selected, common)}
              holds={holdsAt(documents, selected, type)}
              bound={bound}
              boundLabel={bound ? fieldLabel(documents, doc, bound) : ''}
              onBind={(next) => give(next)}
              onRelease={() => give(made ? null : first.byDefault)}
              whenEmpty={made ? ['default', 'nothing', 'hide'] : ['nothing', 'hide']}
            />
          )}
        </td>
      )}
      <td className="cell">
        <span className="cell-words quiet">{standing(documents, common)}</span>
      </td>
    </tr>
  );
}

/** What the controls are exposed as in a definition: each as a property of its own, or all as one. */
function ExposedTogether({
  selected,
  common: { rows, type },
}: {
  selected: Selected;
  common: CommonControl;
}): ReactNode {
  const { documents } = useDerived();
  const exposing = useExposing();
  const component = docOf(documents, 'component', selected.doc.id);
  const { connect, asked } = useConnecting(component);
  if (!component) return null;
  const free = rows.filter(canBeExposed);
  const labels = rows.flatMap(({ source }) =>
    source?.is === 'property' ? (own(component.properties, source.property)?.label ?? []) : [],
  );
  const feeding = inOrder(component.properties).filter(([, made]) =>
    feeds(made.type.kind, type.kind),
  );
  if (free.length === 0)
    return <span className="cell-words">{[...new Set(labels)].join(', ')}</span>;
  const exposures = free.map(exposureOf);
  return (
    <span className="shows-row">
      <button
        type="button"
        className="as-link"
        onClick={() => exposing.expose(component, exposures)}
      >
        expose each
      </button>
      {free.length > 1 ? (
        <button
          type="button"
          className="as-link"
          onClick={() => exposing.exposeAsOne(component, exposures)}
        >
          as one property
        </button>
      ) : null}
      {feeding.length > 0 ? (
        <ChoiceCell
          label={`${rows[0]!.what} of all, from a property there is`}
          chosen={undefined}
          placeholder="or from …"
          options={feeding.map(([value, { label }]) => ({ value, label }))}
          onChoose={(property) => connect(property, rows)}
        />
      ) : null}
      {asked}
    </span>
  );
}

/** The property that instances are set by, where instances are selected. */
function propertyBehind(documents: Documents, { doc }: Selected, { rows: [row] }: CommonControl) {
  const node = row && own(doc.nodes, row.node);
  return row?.control.of === 'value' && node?.kind === 'instance'
    ? propertyOf(documents, node.component, row.control.property)
    : undefined;
}

/** The fields that fit wherever one of them stands. */
function fieldsOfAll(
  documents: Documents,
  { doc }: Selected,
  { rows, type }: CommonControl,
): FittingField[] {
  const [first = [], ...others] = rows.map(({ node }) => fittingFields(documents, doc, node, type));
  const keys = others.map((fields) => new Set(fields.map(({ key }) => key)));
  return first.filter(({ key }) => keys.every((known) => known.has(key)));
}

/** How they stand now, in words: `3 set, 2 default`. */
function standing(documents: Documents, { rows, holds }: CommonControl): string {
  const sets = rows.filter(({ source }) => source?.is === 'value').length;
  const bound = rows.filter(({ source }) => boundIn(source)).length;
  const lifted = rows.filter(({ source }) => source?.is === 'property').length;
  const worked = rows.filter(({ source }) => isMade(source)).length;
  const left = rows.length - sets - bound - lifted - worked;
  const different = new Set(
    rows.flatMap(({ source }) =>
      source?.is === 'value' ? valueWords(documents, source as Typed) : [],
    ),
  ).size;
  const parts = [
    sets > 0 ? `${sets} set${different > 1 ? `, ${count(different, 'value')}` : ''}` : '',
    bound > 0 ? `${bound} bound` : '',
    lifted > 0 ? `${lifted} from a property` : '',
    worked > 0 ? `${worked} worked out` : '',
    left > 0 ? `${left} default` : '',
  ].filter(Boolean);
  return holds !== 'mixed' && parts.length === 1
    ? `all ${parts[0]!.replace(/^\d+ /, '')}`
    : parts.join(', ');
}
