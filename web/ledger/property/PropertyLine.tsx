import { useState, type ReactNode } from 'react';
import { ArrowDown, ArrowUp, X } from 'lucide-react';
import {
  inOrder,
  newId,
  orderBetween,
  type ComponentDoc,
  type Property,
  type PropertyId,
} from '@sormet/core/model';
import { useSync } from '../../site/SiteProvider';
import { ChoiceCell } from '../../parts/ChoiceCell';
import { DraftField } from '../../values/DraftField';
import { useLiveText } from '../../parts/use-live-text';
import { IconButton } from '../../parts/IconButton';
import { Grip, placing, useDragged } from './ordering';
import { useTakingBack } from './TakeBack';
import { TypeCell } from './TypeCell';
import { unconnected } from './unconnected';

/** One property of a definition: named, keyed, typed, grouped, helped, and where it stands. */
export function PropertyLine({
  component,
  id,
  made,
  order,
  group,
}: {
  component: ComponentDoc;
  id: PropertyId;
  made: Property;
  /** All properties as they stand, across groups. */
  order: readonly PropertyId[];
  group: ReactNode;
}): ReactNode {
  const sync = useSync();
  const [session] = useState(newId);
  const args = { component: component.id, property: id };
  const { properties, groups } = component;
  const isLoose = unconnected(component).has(id);
  const { takeBack, asked } = useTakingBack(component);
  const put = (group: string | null, before: PropertyId | null) =>
    sync.edit(placing(component, id, group, before));
  /** One step up or down: past the neighbour, and where that stands in another group, into that group. */
  const step = (by: -1 | 1) => {
    const to = order.indexOf(id) + by;
    const neighbour = order[to];
    if (neighbour === undefined) return;
    const { group: into } = properties[neighbour]!;
    const beyond = order[to + 1];
    const isSame = into === made.group;
    if (by < 0) put(into, isSame ? neighbour : null);
    else if (!isSame) put(into, neighbour);
    else put(into, beyond !== undefined && properties[beyond]!.group === into ? beyond : null);
  };
  const regroup = (chosen: string) => {
    if (chosen !== 'new') return put(chosen === '' ? null : chosen, null);
    const last = inOrder(groups).at(-1)?.[1].order ?? null;
    const group = { id: newId(), label: made.label, order: orderBetween(last, null) };
    return sync.edit({
      name: 'setProperty',
      args: { ...args, set: { place: { group, before: null } } },
    });
  };
  const [shown, type, leave] = useLiveText(made.label);
  const { row, mark, ...drag } = useDragged({ is: 'property', id });
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
        <input
          type="checkbox"
          aria-label={`${made.label} is required`}
          checked={made.required === true}
          onChange={({ target }) =>
            sync.edit({
              name: 'setProperty',
              args: { ...args, set: { required: target.checked } },
            })
          }
        />
      </td>
      <td className="cell tick">
        <input
          type="checkbox"
          aria-label={`${made.label} takes typed values only`}
          checked={made.typedOnly === true}
          onChange={({ target }) =>
            sync.edit({
              name: 'setProperty',
              args: { ...args, set: { typedOnly: target.checked } },
            })
          }
        />
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
