import { useState, type ReactNode } from 'react';
import { controlPath, type ControlRow } from '@sormet/core/edit';
import {
  boundIn,
  attributeWords,
  mayRefer,
  docOf,
  literal,
  newId,
  own,
  writtenIn,
  pointer,
  usualAttributesOf,
  type Documents,
  type Source,
  type TreeDoc,
  type Typed,
} from '@sormet/core/model';
import { RefusedMark, useRefused } from '../site/RefusedMark';
import { useDerived, useSync } from '../site/SiteProvider';
import { benchActions } from '../store/bench-slice';
import { useAppDispatch } from '../store/store';
import { fieldLabel, fittingFields } from '../values/fields';
import { NOW_RICH, type Marked } from '../values/rich/marking';
import { ValueCell } from '../values/ValueCell';
import { refusalWords } from '../words';
import { AtBase } from './AtBase';
import { AttributeCell } from './AttributeCell';
import { BoundTo } from './BoundTo';
import { ExposedCells } from './ExposedCells';
import { TraceButton } from './TraceButton';
import { saidByVariant } from './style/picked';
import type { Selected } from './use-selected';
import { TextWithValues } from './TextWithValues';
import { holdsAt } from './what-shows';
import { wordsKey } from '../canvas/value-edit';
import { useFieldTarget } from '../values/use-field-target';
import { useMakeField } from './use-make-field';
import { WhereBoundEmpty } from './WhereBoundEmpty';
import { WhereItBegins } from './WhereItBegins';
import { WorkedOut } from './WorkedOut';

/** One control of an element: its value, and what it is bound to or, in a definition, exposed as. */
export function ControlLine({ selected, row }: { selected: Selected; row: ControlRow }): ReactNode {
  const { documents } = useDerived();
  const sync = useSync();
  const [session] = useState(newId);
  const { doc } = selected;
  const component = docOf(documents, 'component', doc.id);
  const { source, control, node } = row;
  const path = pointer('nodes', node, ...controlPath(control));
  const isRefused = useRefused(doc.id, path);
  const isVaried = saidByVariant(selected.picked, node, control) !== undefined;
  const field = boundIn(source);
  const inSession = (group: string | null) => ({
    group: group === null ? null : `${session} ${group}`,
  });
  const give = (next: Source | null, group: string | null = null) =>
    sync.edit(
      { name: 'setControl', args: { doc: doc.id, node, control, source: next } },
      inSession(group),
    );
  const change = (given: Source, group: string | null) => {
    // What a variant says is said of it alone, whatever the base has from its property.
    if (!component || source?.is !== 'property' || selected.picked) return give(given, group);
    const args = { component: component.id, property: source.property, value: given };
    return sync.edit({ name: 'setDefault', args }, inSession(group));
  };
  const isWorkedOut = source?.is === 'expression';
  const read =
    component && source?.is === 'property' ? own(component.properties, source.property) : undefined;
  // A property that is worked out is edited where the definition says what it is.
  const byProperty = read?.default.is === 'expression' && !selected.picked;
  // What is edited is what the property begins with, unless a variant says its own.
  const isDefault = read !== undefined && !selected.picked;
  const making = useMakeField(doc, node, control, row.type, row.label);
  const target = useFieldTarget(
    `${node} ${controlPath(control).join('/')}`,
    row.type.kind,
    (given) => give({ ...given, whenEmpty: 'nothing' }),
  );
  const stored = own(doc.nodes, node);
  // What something declares, or what is chosen for it, is fed by a property of its own.
  const workedOut =
    control.of === 'declaration' || control.of === 'chosen' ? null : (
      <WorkedOut
        label={`${row.elementName} ${row.what}`}
        doc={doc}
        node={node}
        wanted={row.type}
        source={source}
        gives={holdsAt(documents, selected, row.type)}
        onGive={(next) => give(next)}
        onRelease={() => give(row.byDefault)}
      />
    );
  return (
    <tr ref={target.ref} className={target.isOver ? 'takes-field' : undefined}>
      <th scope="row">
        {control.of === 'chosen' && control.what === 'tag' ? 'tag, chosen' : row.what}
      </th>
      <td
        className={`cell ${field ? '' : 'set wins'} ${isVaried ? 'is-varied' : ''} ${isRefused ? 'is-wrong' : ''}`}
      >
        <div className="cell-with-actions">
          {source?.is === 'begins' ? (
            <WhereItBegins
              label={`${row.elementName} ${row.what}`}
              doc={doc}
              source={source}
              onRelease={() => give(row.byDefault)}
            />
          ) : isWorkedOut ? null : byProperty ? (
            <span className="cell-words quiet">worked out</span>
          ) : (
            <TextWithValues
              label={`${row.elementName} ${row.what}`}
              doc={doc}
              {...(isDefault && source?.is === 'property'
                ? { node: null, without: source.property }
                : { node })}
              of={wordsKey(doc.id, node, control)}
              wanted={row.type}
              source={isDefault ? read.default : source}
              gives={holdsAt(documents, selected, row.type)}
              isLine={stored?.kind !== 'text' || stored.rich !== 'blocks'}
              onGive={change}
            >
              {(onPlace) => (
                <ControlValue
                  documents={documents}
                  doc={doc}
                  row={row}
                  onPlace={onPlace}
                  onChange={(value, group) => change(literal(value), group)}
                />
              )}
            </TextWithValues>
          )}
          {isWorkedOut || component ? workedOut : null}
          <RefusedMark doc={doc.id} path={path} />
          <AtBase
            selected={selected}
            node={node}
            control={control}
            what={row.what}
            onBack={() => give(null)}
          />
        </div>
      </td>
      {component ? (
        <ExposedCells component={component} row={row} session={session} />
      ) : (
        <>
          <td className={field ? 'cell bound tight wins' : 'cell bound tight'}>
            <div className="bound-with">
              <BoundTo
                label={`${row.elementName} ${row.what}`}
                fields={() => fittingFields(documents, doc, node, row.type)}
                holds={holdsAt(documents, selected, row.type)}
                bound={field}
                boundLabel={field ? fieldLabel(documents, doc, field) : ''}
                onBind={(next) => give(next)}
                onRelease={() => give(row.byDefault)}
                whenEmpty={['nothing', 'hide']}
                making={making}
              />
              {isWorkedOut || field ? null : workedOut}
              {field?.is === 'field' ? (
                <WhereBoundEmpty
                  label={`${row.elementName} ${row.what}`}
                  doc={doc}
                  node={node}
                  wanted={row.type}
                  source={field}
                />
              ) : null}
            </div>
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

/** What a control holds: an attribute that somebody named is one that can be taken away, too. */
function ControlValue({
  documents,
  doc,
  row,
  onPlace,
  onChange,
}: {
  documents: Documents;
  doc: TreeDoc;
  row: ControlRow;
  onPlace: ((at: number) => void) | undefined;
  onChange: (value: Typed, group: string | null) => void;
}): ReactNode {
  const sync = useSync();
  const dispatch = useAppDispatch();
  const [marked, setMarked] = useState<Marked | undefined>(undefined);
  const { source, control, node } = row;
  /** Emphasis, a link or a style in a plain text: it becomes rich, which is said, and has what was asked for. */
  const becomeRich = (asked: Marked) => {
    const why = refusalWords(sync.attempt({ name: 'makeRich', args: { doc: doc.id, node } }));
    if (why === '') setMarked(asked);
    dispatch(benchActions.notice(why === '' ? NOW_RICH : why));
  };
  const component = docOf(documents, 'component', doc.id);
  const property =
    source?.is === 'property' && component ? own(component.properties, source.property) : undefined;
  const isBound = boundIn(source) !== undefined;
  const value = writtenIn(property ? property.default : source);
  const stored = own(doc.nodes, node);
  if (
    control.of === 'attribute' &&
    stored?.kind === 'element' &&
    row.type.kind === 'text' &&
    !isBound &&
    !property
  ) {
    const isUsual = usualAttributesOf(stored.tag).includes(control.name);
    const isChosen =
      attributeWords(stored.tag, control.name) !== undefined || mayRefer(stored.tag, control.name);
    if (!isUsual || isChosen)
      return (
        <AttributeCell
          doc={doc.id}
          node={node}
          tag={stored.tag}
          name={control.name}
          text={value?.type === 'text' ? (value.value ?? '') : ''}
          usual={isUsual}
        />
      );
  }
  return (
    <ValueCell
      type={row.type}
      value={isBound ? undefined : (value ?? row.byDefault)}
      label={`${row.elementName} ${row.what}`}
      onChange={onChange}
      onPlace={isBound ? undefined : onPlace}
      {...(control.of === 'text' && !isBound ? { onMarked: becomeRich, marked } : {})}
    />
  );
}
