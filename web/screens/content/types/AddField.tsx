import { useState, type ReactNode } from 'react';
import { Button } from 'antd';
import {
  kindOnly,
  NEVER_CONTENT,
  newId,
  orderAfterAll,
  type FieldId,
  type TypeDoc,
  type TypeSpec,
  type ValueKind,
} from '@sormet/core/model';
import { keyFor } from '@sormet/core/edit';
import { hasDetails, TypeDetails } from '../../../ledger/property/TypeDetails';
import { ChoiceCell } from '../../../parts/ChoiceCell';
import { useSync } from '../../../site/SiteProvider';
import { KIND_WORDS } from '../../../words';

/** What a field can hold. */
const OFFERED = (Object.keys(KIND_WORDS) as ValueKind[]).filter((kind) => !NEVER_CONTENT.has(kind));
/** Kinds that say nothing before somebody has said of what. */
const DETAILED: ReadonlySet<ValueKind> = new Set(['choice', 'list', 'entry', 'entries']);

/** Adds a field to a content type: a name and what it holds. */
export function AddField({
  type,
  onAdded,
}: {
  type: TypeDoc;
  onAdded?: (field: FieldId) => void;
}): ReactNode {
  const sync = useSync();
  const [label, setLabel] = useState('');
  const [kind, setKind] = useState<ValueKind>('text');
  const [detailing, setDetailing] = useState<TypeSpec | null>(null);
  const wanted = label.trim();
  const add = (spec: TypeSpec) => {
    const field = newId();
    const keys = new Set(Object.values(type.fields).map(({ key }) => key));
    const done = sync.edit({
      name: 'addTypeField',
      args: {
        type: type.id,
        field,
        made: {
          label: wanted,
          key: keyFor(wanted, keys),
          type: spec,
          order: orderAfterAll(Object.values(type.fields)),
        },
      },
    });
    if (!done) return;
    setLabel('');
    onAdded?.(field);
  };
  return (
    <form
      className="add-property"
      onSubmit={(event) => {
        event.preventDefault();
        if (wanted === '') return;
        const spec = kindOnly(kind);
        if (DETAILED.has(kind) && hasDetails(spec)) setDetailing(spec);
        else add(spec);
      }}
    >
      <input
        className="plain-field"
        aria-label="Name of a new field"
        placeholder="a new field"
        maxLength={120}
        value={label}
        onChange={({ target }) => setLabel(target.value)}
      />
      <ChoiceCell
        label="What the new field holds"
        chosen={kind}
        options={OFFERED.map((value) => ({ value, label: KIND_WORDS[value] }))}
        onChoose={(chosen) => setKind(chosen as ValueKind)}
      />
      <Button size="small" htmlType="submit" disabled={wanted === ''}>
        Add it
      </Button>
      {detailing ? (
        <TypeDetails
          label={wanted}
          type={detailing}
          onDone={(spec) => {
            setDetailing(null);
            add(spec);
          }}
          onClose={() => setDetailing(null)}
        />
      ) : null}
    </form>
  );
}
