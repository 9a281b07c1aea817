import { useState, type ReactNode } from 'react';
import { ArrowDown, ArrowUp, X } from 'lucide-react';
import { newId, type Field, type FieldId, type TypeDoc, type TypeSpec } from '@sormet/core/model';
import { TypeChoice } from '../../../ledger/property/TypeChoice';
import { ChoiceCell } from '../../../parts/ChoiceCell';
import { Grip, useDragged } from '../../../parts/grouped/OrderedByDragging';
import type { Standing } from '../../../parts/grouped/standing';
import { steppingOf } from '../../../parts/grouped/stepping';
import { IconButton } from '../../../parts/IconButton';
import { useLiveText } from '../../../parts/use-live-text';
import { useSync } from '../../../site/SiteProvider';
import { DraftField } from '../../../values/DraftField';
import { ValueCell } from '../../../values/ValueCell';
import { FieldBecomingDialog } from './FieldBecoming';

/** One field of a content type: named, keyed, typed, asked for, helped, and where it stands. */
export function FieldLine({
  type,
  id,
  made,
  standing,
  group,
}: {
  type: TypeDoc;
  id: FieldId;
  made: Field;
  /** All fields as they stand. */
  standing: Standing;
  group: ReactNode;
}): ReactNode {
  const sync = useSync();
  const [session] = useState(newId);
  const [next, setNext] = useState<TypeSpec | null | undefined>(undefined);
  const { step, regroup } = steppingOf(standing, id);
  const [shown, typed, leave] = useLiveText(made.label);
  const { row, mark, ...drag } = useDragged({ is: 'thing', id });
  const args = { type: type.id, field: id };
  const { label } = made;
  const isTitle = type.title === id;
  const tick = (name: 'required' | 'unique' | 'aside', words: string, turned = false) => (
    <td className="cell tick">
      <input
        type="checkbox"
        aria-label={words}
        checked={(made[name] === true) !== turned}
        onChange={({ target }) =>
          sync.edit({
            name: 'setTypeField',
            args: { ...args, set: asking(name, target.checked !== turned) },
          })
        }
      />
    </td>
  );
  return (
    <tr ref={row} className={mark}>
      {group}
      <td className="cell">
        <span className="grip-and">
          <Grip {...drag} name={label} />
          <input
            className="plain-field"
            aria-label={`Label of ${made.key}`}
            value={shown}
            maxLength={120}
            onBlur={leave}
            onChange={({ target }) => {
              typed(target.value);
              if (target.value.trim() === '') return;
              sync.edit(
                { name: 'setTypeField', args: { ...args, set: { label: target.value } } },
                { group: `${session} label` },
              );
            }}
          />
          {isTitle ? <span className="field-title">the title</span> : null}
        </span>
      </td>
      <td className="cell">
        <DraftField
          mono
          label={`Key of ${label}`}
          stored={made.key}
          edit={(key) => ({ name: 'setTypeField', args: { ...args, set: { key } } })}
        />
      </td>
      <td className="cell">
        <TypeChoice label={label} type={made.type} onNext={setNext} />
        {next === undefined ? null : (
          <FieldBecomingDialog
            type={type}
            field={id}
            to={next}
            onDo={() =>
              sync.edit(
                next === null
                  ? { name: 'removeTypeField', args }
                  : { name: 'setTypeField', args: { ...args, set: { type: next } } },
              )
            }
            onClose={() => setNext(undefined)}
          />
        )}
      </td>
      <td className="cell">
        <ChoiceCell
          label={`Heading over ${label}`}
          chosen={made.group ?? ''}
          options={[
            { value: '', label: 'none' },
            ...standing.groups.map((each) => ({ value: each.id, label: each.label })),
            { value: 'new', label: 'a new heading' },
          ]}
          onChoose={regroup}
        />
      </td>
      {tick('required', `${label} is required`)}
      {tick('unique', `${label} is unique`)}
      {tick('aside', `The table shows ${label}`, true)}
      <td className="cell">
        <span className="cell-beside">
          <ValueCell
            type={made.type}
            value={made.default}
            label={`What ${label} begins with`}
            placeholder="nothing"
            onChange={(value, name) =>
              sync.edit(
                { name: 'setTypeField', args: { ...args, set: { default: value } } },
                { group: name === null ? null : `${session} default ${name}` },
              )
            }
          />
          {made.default ? (
            <IconButton
              icon={X}
              name={`${label} begins with nothing`}
              title="Begins with nothing"
              onPress={() =>
                sync.edit({ name: 'setTypeField', args: { ...args, set: { default: null } } })
              }
            />
          ) : null}
        </span>
      </td>
      <td className="cell">
        <DraftField
          label={`Help for ${label}`}
          stored={made.help ?? ''}
          edit={(help) => ({ name: 'setTypeField', args: { ...args, set: { help } } })}
        />
      </td>
      <td className="tight">
        <span className="cell-actions">
          <IconButton
            icon={ArrowUp}
            name={`${label}: further up`}
            title="Further up"
            onPress={() => step(-1)}
          />
          <IconButton
            icon={ArrowDown}
            name={`${label}: further down`}
            title="Further down"
            onPress={() => step(1)}
          />
          {/* An entry is always known by something. */}
          {isTitle ? null : (
            <IconButton
              icon={X}
              name={`Remove ${label}`}
              title="Remove the field"
              onPress={() => setNext(null)}
            />
          )}
        </span>
      </td>
    </tr>
  );
}

function asking(name: 'required' | 'unique' | 'aside', on: boolean) {
  if (name === 'required') return { required: on };
  return name === 'unique' ? { unique: on } : { aside: on };
}
