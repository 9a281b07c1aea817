import { useState, type ReactNode } from 'react';
import { ArrowDown, ArrowUp, X } from 'lucide-react';
import {
  inOrder,
  newId,
  repeatsAround,
  rootOf,
  withDescendants,
  type ComponentDoc,
  type Documents,
  type Property,
  type PropertyId,
  type StateOf,
} from '@sormet/core/model';
import { emptyLiteral, nodeName, unconnected } from '@sormet/core/edit';
import { mayBeState } from '@sormet/core/value';
import { useDerived, useSync } from '../../site/SiteProvider';
import { ChoiceCell } from '../../parts/ChoiceCell';
import { DraftField } from '../../values/DraftField';
import { useLiveText } from '../../parts/use-live-text';
import { IconButton } from '../../parts/IconButton';
import { Grip, useDragged } from '../../parts/grouped/OrderedByDragging';
import type { Standing } from '../../parts/grouped/standing';
import { steppingOf } from '../../parts/grouped/stepping';
import { useTakingBack } from './TakeBack';
import { sharesLabel } from '../PropertyRow';
import { WorkedOut } from '../WorkedOut';
import { StateDetails } from './StateDetails';
import { TypeCell } from './TypeCell';
import { useKeptToTyped } from './use-kept-to-typed';

/** The lists of a definition that a state may count: those that stand in no other. */
function listsOf(documents: Documents, component: ComponentDoc) {
  return withDescendants(component.nodes, rootOf(component.nodes))
    .filter(
      (id) => component.nodes[id]!.kind === 'repeat' && repeatsAround(component, id).length === 0,
    )
    .map((value) => ({ value, label: nodeName(documents, component.nodes[value]!, component) }));
}

/** What makes a property a state: a number without a least and a most counts a list; nothing where it cannot be one. */
function firstState({ type }: Property, lists: ReturnType<typeof listsOf>): StateOf | undefined {
  if (mayBeState(type, {})) return {};
  return type.kind === 'number' && lists[0] ? { among: lists[0].value } : undefined;
}

/** One property of a definition: named, keyed, typed, grouped, helped, and where it stands. */
export function PropertyLine({
  component,
  id,
  made,
  standing,
  group,
}: {
  component: ComponentDoc;
  id: PropertyId;
  made: Property;
  /** All properties as they stand. */
  standing: Standing;
  group: ReactNode;
}): ReactNode {
  const sync = useSync();
  const [session] = useState(newId);
  const args = { component: component.id, property: id };
  const { groups } = component;
  const kept = useKeptToTyped(component, id);
  const { documents } = useDerived();
  const lists = listsOf(documents, component);
  const first = firstState(made, lists);
  const set = (change: { required: boolean }) =>
    sync.edit({ name: 'setProperty', args: { ...args, set: change } });
  const isLoose = unconnected(component).has(id);
  const { takeBack, asked } = useTakingBack(component);
  const { step, regroup } = steppingOf(standing, id);
  const [shown, type, leave] = useLiveText(made.label);
  const { row, mark, ...drag } = useDragged({ is: 'thing', id });
  return (
    <tr ref={row} className={mark}>
      {group}
      <td className={isLoose ? 'cell definition wins is-loose' : 'cell definition wins'}>
        <span className="grip-and">
          <Grip {...drag} name={made.label} />
          <input
            className="plain-field"
            aria-label={`Label of ${made.key}`}
            value={shown}
            title={isLoose ? 'Nothing is connected to it' : undefined}
            maxLength={120}
            onBlur={leave}
            onChange={({ target }) => {
              type(target.value);
              if (target.value.trim() === '') return;
              sync.edit(
                { name: 'labelProperty', args: { ...args, label: target.value } },
                { group: `${session} label` },
              );
            }}
          />
        </span>
        {sharesLabel(component, id) ? (
          <span className="same-label">another is called so, too</span>
        ) : null}
      </td>
      <td className="cell">
        <DraftField
          mono
          label={`Key of ${made.label}`}
          stored={made.key}
          edit={(key) => ({ name: 'setProperty', args: { ...args, set: { key } } })}
        />
      </td>
      <td className="cell">
        <TypeCell component={component} property={id} />
      </td>
      <td className="cell">
        <ChoiceCell
          label={`Group of ${made.label}`}
          chosen={made.group ?? ''}
          options={[
            { value: '', label: 'none' },
            ...inOrder(groups).map(([value, { label }]) => ({ value, label })),
            { value: 'new', label: 'a new group' },
          ]}
          onChoose={regroup}
        />
      </td>
      <td className="cell tick">
        <Tick
          label={`${made.label} is required`}
          on={made.required === true}
          onTick={(required) => set({ required })}
        />
      </td>
      <td className="cell tick">
        <Tick
          label={`${made.label} takes typed values only`}
          on={made.typedOnly === true}
          onTick={kept.keep}
        />
        {kept.asked}
      </td>
      <td className="cell tick tight">
        <Tick
          label={`${made.label} is a state`}
          on={made.state !== undefined}
          canBe={made.state !== undefined || first !== undefined}
          onTick={(on) =>
            sync.edit({ name: 'setState', args: { ...args, state: on ? (first ?? null) : null } })
          }
        />
        {made.state ? (
          <StateDetails
            label={made.label}
            type={made.type}
            lists={lists}
            state={made.state}
            onGive={(state) => sync.edit({ name: 'setState', args: { ...args, state } })}
          />
        ) : null}
      </td>
      <td className="cell">
        <DraftField
          label={`Help for ${made.label}`}
          stored={made.help ?? ''}
          edit={(help) => ({ name: 'setProperty', args: { ...args, set: { help } } })}
        />
      </td>
      <td className="tight">
        <span className="cell-actions">
          <WorkedOut
            label={made.label}
            doc={component}
            node={null}
            without={id}
            wanted={made.type}
            source={made.default}
            gives={undefined}
            isShort
            onGive={(value) => sync.edit({ name: 'setDefault', args: { ...args, value } })}
            onRelease={() =>
              sync.edit({ name: 'setDefault', args: { ...args, value: emptyLiteral(made.type) } })
            }
          />
          <IconButton
            icon={ArrowUp}
            name={`${made.label}: further up`}
            title="Further up"
            onPress={() => step(-1)}
          />
          <IconButton
            icon={ArrowDown}
            name={`${made.label}: further down`}
            title="Further down"
            onPress={() => step(1)}
          />
          <IconButton
            icon={X}
            name={`Take back ${made.label}`}
            title="Take it back: its controls hold the default again"
            onPress={() => takeBack([id])}
          />
        </span>
        {asked}
      </td>
    </tr>
  );
}

function Tick({
  label,
  on,
  canBe = true,
  onTick,
}: {
  label: string;
  on: boolean;
  /** Whether it could be ticked: what a property holds may have no end. */
  canBe?: boolean;
  onTick: (on: boolean) => void;
}): ReactNode {
  return (
    <input
      type="checkbox"
      aria-label={label}
      checked={on}
      disabled={!canBe}
      title={
        canBe
          ? undefined
          : 'Only yes or no, one of some options, words, or a number between a least and a most can be a state'
      }
      onChange={({ target }) => onTick(target.checked)}
    />
  );
}
