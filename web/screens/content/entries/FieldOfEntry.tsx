import { useState, type ReactNode } from 'react';
import { Button } from 'antd';
import {
  entryTitle,
  own,
  sameJson,
  type EntryDoc,
  type Field,
  type FieldId,
  type TypeDoc,
  type Typed,
} from '@sormet/core/model';
import { freeSlugs, hasBeginningSlug, slugFor } from '@sormet/core/ready';
import { Wrong } from '../../../parts/Wrong';
import { useDerived, useSync } from '../../../site/SiteProvider';
import { LimitWords } from '../../../values/LimitWords';
import { ValueEditor } from '../../../values/ValueEditor';

/** Whether a field of an entry holds nothing. */
export function isNothing(value: Typed | undefined): boolean {
  const held = value?.value ?? null;
  return held === null || held === '' || (Array.isArray(held) && held.length === 0);
}

/** A field of an entry: its editor, what it is for, what is wrong with what stands there. */
export function FieldOfEntry({
  type,
  entry,
  id,
  field,
}: {
  type: TypeDoc;
  entry: EntryDoc;
  id: FieldId;
  field: Field;
}): ReactNode {
  const { documents } = useDerived();
  const sync = useSync();
  const [session] = useState(() => `${entry.id} ${id} ${Date.now()}`);
  const value = own(entry.values, id);
  const nameAddress = () => {
    // An address that nobody has typed yet follows what it is made from, once that is typed.
    if (!entry.draft || !hasBeginningSlug(type, entry)) return;
    const wanted = slugFor(documents, type, entry.values);
    if (wanted === '') return;
    const slug = freeSlugs(documents, type.id, entry.id).take(wanted);
    if (slug !== entry.slug) sync.edit({ name: 'setSlug', args: { entry: entry.id, slug } });
  };
  const isOfSlug = (type.slugFrom ?? [type.title]).includes(id);
  const twin =
    field.unique && !isNothing(value)
      ? twinOf(documents.all('entry'), entry, id, value)
      : undefined;
  return (
    <div className="field">
      <span className="field-label" title={field.help}>
        {field.label}
        {field.required ? (
          <span className="needed" title="must have a value">
            {' '}
            *
          </span>
        ) : null}
      </span>
      <div>
        <div className="field-editor" onBlur={isOfSlug ? nameAddress : undefined}>
          <ValueEditor
            type={field.type}
            value={value}
            label={field.label}
            onChange={(typed: Typed, group) =>
              sync.edit(
                { name: 'setField', args: { entry: entry.id, field: id, value: typed } },
                { group: group === null ? null : `${session} ${group}` },
              )
            }
          />
          <LimitWords type={field.type} value={value} />
          {!isNothing(value) && field.type.kind !== 'text' ? (
            <Button
              size="small"
              type="text"
              onClick={() =>
                sync.edit({ name: 'setField', args: { entry: entry.id, field: id, value: null } })
              }
            >
              empty
            </Button>
          ) : null}
        </div>
        {field.help ? <p className="field-help">{field.help}</p> : null}
        {twin ? (
          <Wrong
            words={`${entryTitle(documents, twin)} has the same: it should be of one alone.`}
          />
        ) : null}
      </div>
    </div>
  );
}

/** Another entry of the type that holds the same. */
function twinOf(
  entries: readonly EntryDoc[],
  entry: EntryDoc,
  field: FieldId,
  value: Typed | undefined,
): EntryDoc | undefined {
  return entries.find(
    (each) =>
      each.id !== entry.id && each.type === entry.type && sameJson(own(each.values, field), value),
  );
}
