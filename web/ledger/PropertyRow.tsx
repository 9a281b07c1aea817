import { useState, type ReactNode } from 'react';
import { Popconfirm } from 'antd';
import { Milestone, Undo2 } from 'lucide-react';
import {
  boundIn,
  isMade,
  literal,
  newId,
  own,
  pointer,
  type Acts,
  type ComponentDoc,
  type Documents,
  type Property,
  type PropertyId,
  type Source,
  type Typed,
  type WhenEmpty,
} from '@sormet/core/model';
import { unconnected } from '@sormet/core/edit';
import type { Known } from '@sormet/core/value';
import { definitionHeld, heldChoices } from './states/held-values';
import { HoldCell } from './states/HoldCell';
import { RefusedMark, useRefused } from '../site/RefusedMark';
import { useDerived, useSync } from '../site/SiteProvider';
import { fieldLabel, fittingFields } from '../values/fields';
import { benchActions } from '../store/bench-slice';
import { useAppDispatch } from '../store/store';
import { plainInDefinition } from '../values/rich/plain-in-definition';
import { sourceWords } from '../values/source-words';
import { ShowValue } from '../values/show-value';
import { valueWords, count, madeWords } from '../words';
import { steppedTyped } from '../values/stepped-typed';
import { ValueCell } from '../values/ValueCell';
import type { Selected } from './use-selected';
import { AtBase } from './AtBase';
import { BoundTo } from './BoundTo';
import { GroupCell, RowName } from './GroupCell';
import { IconButton } from '../parts/IconButton';
import { saidByVariant } from './style/picked';
import { TextWithValues } from './TextWithValues';
import { TraceButton } from './TraceButton';
import { holdsAt } from './what-shows';
import { wordsKey } from '../canvas/value-edit';
import { useFieldTarget } from '../values/use-field-target';
import { useMakeField } from './use-make-field';
import { WhereBoundEmpty } from './WhereBoundEmpty';
import { WorkedOut } from './WorkedOut';

/** A property of an instance: its default, what is set here, what it is bound to, what shows. */
export function PropertyRow({
  selected,
  property,
  made,
  group,
  rows,
}: {
  selected: Selected;
  property: PropertyId;
  made: Property;
  group: string;
  /** How many rows the group has, in its first row; nothing in the others. */
  rows: number | undefined;
}): ReactNode {
  const { documents } = useDerived();
  const sync = useSync();
  const dispatch = useAppDispatch();
  const { node, doc, id } = selected;
  const [session] = useState(newId);
  const path = pointer('nodes', id, 'values', property);
  const isRefused = useRefused(doc.id, path);
  const control = { of: 'value' as const, property };
  const making = useMakeField(doc, id, control, made.type, made.label);
  const target = useFieldTarget(`${id} ${property}`, made.type.kind, (given) =>
    sync.edit({ name: 'setControl', args: { doc: doc.id, node: id, control, source: given } }),
  );
  if (node.kind !== 'instance') return null;
  const source: Source | undefined = own(node.values, property);
  const set = source?.is === 'value' ? (source as Typed) : undefined;
  const around = source?.is === 'words' ? source : undefined;
  const bound = boundIn(source);
  const lifted = source?.is === 'property' ? source : undefined;
  const shows = shownValue(selected, property);
  const give = (next: Source | null, group: string | null = null) =>
    sync.edit(
      { name: 'setControl', args: { doc: doc.id, node: id, control, source: next } },
      { group: group === null ? null : `${session} ${property} ${group}` },
    );
  const isLoose = selected.component !== undefined && unconnected(selected.component).has(property);
  const worked = source?.is === 'expression' ? source : undefined;
  const byItself = isMade(made.default);
  const isVaried = saidByVariant(selected.picked, id, control) !== undefined;
  const winner =
    set || around || source?.is === 'acts'
      ? 'set'
      : bound || lifted || worked
        ? 'bound'
        : 'default';
  return (
    <tr ref={target.ref} className={target.isOver ? 'takes-field' : undefined}>
      {rows === undefined ? null : <GroupCell label={group} rows={rows} />}
      <RowName
        group={group}
        label={made.label}
        title={made.help ?? `key: ${made.key}`}
        told={sharesLabel(selected.component, property) ? made.key : undefined}
        required={made.required === true}
        scrub={
          made.type.kind === 'number' || made.type.kind === 'length'
            ? {
                begin: () => steppedTyped(set ?? literalOf(made.default), documents.tokens.tokens),
                onStep: (value, hold) => give(literal(value), `dragged ${Math.round(hold)}`),
              }
            : undefined
        }
      />
      <td className={winner === 'default' ? 'cell default wins' : 'cell default'}>
        {byItself ? (
          <span className="cell-words quiet">{madeWords(made.default)}</span>
        ) : (
          <ShowValue documents={documents} value={literalOf(made.default)} type={made.type} />
        )}
      </td>
      <td
        className={`cell set ${winner === 'set' ? 'wins' : ''} ${isVaried ? 'is-varied' : ''} ${isRefused ? 'is-wrong' : ''}`}
      >
        <div className="cell-with-actions">
          {isLoose && !set && !around ? (
            <span className="cell-words quiet">nothing is connected to it</span>
          ) : made.type.kind === 'action' ? (
            <ActionGiven label={made.label} acts={source?.is === 'acts' ? source.acts : {}} />
          ) : byItself && !set && !around ? (
            <span className="cell-words quiet">{madeWords(made.default)} in the definition</span>
          ) : (
            <TextWithValues
              label={`${made.label}, set here`}
              doc={doc}
              node={id}
              of={wordsKey(doc.id, id, control)}
              wanted={made.type}
              source={source}
              gives={holdsAt(documents, selected, made.type)}
              isLine={false}
              onGive={give}
            >
              {(onPlace) => (
                <ValueCell
                  type={made.type}
                  value={set}
                  label={`${made.label}, set here`}
                  begin={literalOf(made.default) ?? undefined}
                  placeholder={set && valueWords(documents, set) === 'nothing' ? 'empty' : ''}
                  onPlace={made.typedOnly ? undefined : onPlace}
                  onChange={(value, group) => give(literal(value), group)}
                  onMarked={() => {
                    const { component } = selected;
                    if (component && made.type.kind === 'text')
                      dispatch(benchActions.offer(plainInDefinition(component, property)));
                  }}
                />
              )}
            </TextWithValues>
          )}
          <RefusedMark doc={doc.id} path={path} />
          <AtBase
            selected={selected}
            node={id}
            control={control}
            what={made.label}
            onBack={() => give(null)}
          />
          {(set || around) && !isVaried ? (
            <span className="cell-actions">
              <IconButton
                icon={Undo2}
                name={`${made.label}: back to default`}
                title="Back to default"
                onPress={() => give(null)}
              />
              {set ? (
                <MakeDefault selected={selected} property={property} label={made.label} set={set} />
              ) : null}
            </span>
          ) : null}
        </div>
        {made.help ? <span className="row-help">{made.help}</span> : null}
      </td>
      <td className={winner === 'bound' ? 'cell bound tight wins' : 'cell bound tight'}>
        {lifted ? (
          <span className="cell-words" title="a property of this definition">
            {sourceWords(documents, doc, lifted)}
          </span>
        ) : (isLoose || byItself) && !bound && !worked ? null : made.typedOnly &&
          !bound &&
          !worked ? (
          <span className="cell-words quiet">typed values only</span>
        ) : (
          <div className="bound-with">
            {worked || made.type.kind === 'action' ? null : (
              <BoundTo
                label={made.label}
                fields={() => fittingFields(documents, doc, id, made.type)}
                holds={holdsAt(documents, selected, made.type)}
                bound={bound}
                boundLabel={bound ? fieldLabel(documents, doc, bound) : ''}
                onBind={(next) => give(next)}
                onRelease={() => give(null)}
                whenEmpty={['default', 'nothing', 'hide']}
                making={making}
              />
            )}
            {bound?.is === 'field' ? (
              <WhereBoundEmpty
                label={made.label}
                doc={doc}
                node={id}
                wanted={made.type}
                source={bound}
              />
            ) : bound || made.type.kind === 'action' ? null : (
              <WorkedOut
                label={made.label}
                doc={doc}
                node={id}
                wanted={made.type}
                source={source}
                gives={holdsAt(documents, selected, made.type)}
                onGive={(next) => give(next)}
                onRelease={() => give(null)}
              />
            )}
          </div>
        )}
      </td>
      <td className="cell shows">
        <span className="shows-row">
          {made.state &&
          heldChoices(documents, definitionHeld(documents, doc.id, id), made).length > 0 ? (
            <HoldCell
              doc={doc.id}
              node={id}
              property={property}
              made={made}
              first={shows === null ? 'nothing' : valueWords(documents, shows as Typed, made.type)}
            />
          ) : (
            <ShowValue documents={documents} value={shows} type={made.type} />
          )}
          <span className="origin">
            {made.required && shows === null ? (
              <span className="needed">needs a value</span>
            ) : worked ? (
              'worked out'
            ) : (
              originWord(winner, bound, shows, made, documents)
            )}
          </span>
          <TraceButton label={made.label} />
        </span>
      </td>
    </tr>
  );
}

/** How much an action is given to do here; what that is stands under acts. */
function ActionGiven({ label, acts }: { label: string; acts: Acts }): ReactNode {
  const dispatch = useAppDispatch();
  const many = Object.keys(acts).length;
  return (
    <button
      type="button"
      className="as-link"
      aria-label={`${label}: what is done`}
      onClick={() => dispatch(benchActions.setTab('acts'))}
    >
      {many === 0 ? 'say what is done' : count(many, 'act')}
    </button>
  );
}

/** Makes what is set here the default, after saying who follows and who keeps their own. */
function MakeDefault({
  selected,
  property,
  label,
  set,
}: {
  selected: Selected;
  property: PropertyId;
  label: string;
  set: Typed;
}): ReactNode {
  const { documents, reach } = useDerived();
  const sync = useSync();
  const [asking, setAsking] = useState(false);
  const { doc, id, component } = selected;
  const button = (
    <IconButton
      icon={Milestone}
      name={`${label}: make it the default`}
      title="Make it the default"
      onPress={() => setAsking(true)}
    />
  );
  if (!asking || !component) return button;
  const placed = reach.usesOf(component.id).filter(({ kind }) => kind === 'places').length;
  const setters = reach.settersOf(component.id, property).length;
  const follow = placed - setters;
  const keep = setters - 1;
  const who = keep === 0 ? 'none keeps' : `${keep} ${keep === 1 ? 'keeps' : 'keep'}`;
  return (
    <Popconfirm
      open
      title={`Make “${short(valueWords(documents, set))}” the default?`}
      description={`${count(follow, 'other instance')} ${follow === 1 ? 'follows' : 'follow'} it, ${who} ${keep > 1 ? 'their' : 'its'} own.`}
      okText="Make it the default"
      cancelText="Leave it"
      onConfirm={() => {
        setAsking(false);
        sync.edit({ name: 'makeDefault', args: { doc: doc.id, node: id, property } });
      }}
      onCancel={() => setAsking(false)}
      onOpenChange={(open) => {
        if (!open) setAsking(false);
      }}
    >
      <span>{button}</span>
    </Popconfirm>
  );
}

/** Whether another property of the component is called the same: then the key tells them apart. */
export function sharesLabel(component: ComponentDoc | undefined, property: PropertyId): boolean {
  const all = Object.entries(component?.properties ?? {});
  const label = all
    .find(([id]) => id === property)?.[1]
    .label.trim()
    .toLowerCase();
  return all.some(([id, made]) => id !== property && made.label.trim().toLowerCase() === label);
}

function literalOf(source: Source): Typed | null {
  return source.is === 'value' ? source : null;
}

/** The value that a property shows on this instance, for the entry that is looked at. */
function shownValue({ resolved, node, component }: Selected, property: PropertyId): Known {
  if (resolved?.kind === 'group')
    return (own(resolved.inner.properties, property) ?? null) as Known;
  // An instance that is not shown has no resolved values: what it would show is what it says.
  const source =
    node.kind === 'instance'
      ? (own(node.values, property) ?? (component && own(component.properties, property)?.default))
      : undefined;
  return source?.is === 'value' ? source : null;
}

function originWord(
  winner: 'default' | 'set' | 'bound',
  bound: Source | undefined,
  shows: Known,
  made: Property,
  documents: Documents,
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
