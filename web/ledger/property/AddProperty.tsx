import { useState, type ReactNode } from 'react';
import { Button } from 'antd';
import {
  kindOnly,
  newId,
  orderAfterAll,
  type ComponentDoc,
  type ValueKind,
} from '@sormet/core/model';
import { keyFor } from '@sormet/core/edit';
import { useSync } from '../../site/SiteProvider';
import { ChoiceCell } from '../../parts/ChoiceCell';
import { KIND_WORDS } from '../../words';

/** Kinds that somebody makes before there is anything to connect to; a theme, a tag or a style is exposed where it stands. */
const OFFERED = (Object.keys(KIND_WORDS) as ValueKind[]).filter(
  (kind) => !['tag', 'theme', 'style'].includes(kind),
);

/** Makes a property first: a name and what it holds. What it feeds is chosen afterwards, at a control. */
export function AddProperty({ component }: { component: ComponentDoc }): ReactNode {
  const sync = useSync();
  const [label, setLabel] = useState('');
  const [kind, setKind] = useState<ValueKind>('text');
  const add = () => {
    const wanted = label.trim();
    if (wanted === '') return;
    const keys = new Set(Object.values(component.properties).map(({ key }) => key));
    const done = sync.edit({
      name: 'addProperty',
      args: {
        component: component.id,
        property: newId(),
        label: wanted,
        key: keyFor(wanted, keys),
        type: kindOnly(kind),
        group: null,
        order: orderAfterAll(Object.values(component.properties)),
      },
    });
    if (done) setLabel('');
  };
  return (
    <form
      className="add-property"
      onSubmit={(event) => {
        event.preventDefault();
        add();
      }}
    >
      <input
        className="plain-field"
        aria-label="Name of a new property"
        placeholder="a new property"
        maxLength={120}
        value={label}
        onChange={({ target }) => setLabel(target.value)}
      />
      <ChoiceCell
        label="What the new property holds"
        chosen={kind}
        options={OFFERED.map((value) => ({ value, label: KIND_WORDS[value] }))}
        onChoose={(chosen) => setKind(chosen as ValueKind)}
      />
      <Button size="small" htmlType="submit" disabled={label.trim() === ''}>
        Add it
      </Button>
    </form>
  );
}
