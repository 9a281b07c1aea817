import {
  DATE,
  entryDateOf,
  own,
  type DocId,
  type EntryDoc,
  type Field,
  type FieldId,
  type ListRecord,
  type RecordField,
  type Typed,
  type TypeSpec,
} from '../model';
import type { Data } from './data';

/** The fields of a list's records. */
export type RecordFields = Readonly<Record<FieldId, RecordField>>;

/**
 * What a repeat gives: an entry, or a record of a list. `type` says what its fields are: the content type by id,
 * or the fields of the list.
 */
export interface Item {
  readonly id: string;
  readonly type: DocId | RecordFields;
  readonly values: Readonly<Record<FieldId, Typed>>;
}

/** An entry is an item as it is stored. */
export function isEntry(item: Item): item is EntryDoc {
  return typeof item.type === 'string';
}

const items = new WeakMap<ListRecord, Item>();

/** A record of a list as an item: the same object for the same record and fields. */
export function itemOf(record: ListRecord, fields: RecordFields): Item {
  const kept = items.get(record);
  if (kept?.type === fields) return kept;
  const item: Item = { id: record.id, type: fields, values: record.values };
  items.set(record, item);
  return item;
}

/** The fields that items of a type have; nothing when the type is gone. */
function fieldsOf(
  type: Item['type'],
  data: Data,
): Readonly<Record<FieldId, Pick<Field, 'type'>>> | undefined {
  return typeof type === 'string' ? data.type(type)?.fields : type;
}

/** The type that a field is declared with; nothing when it is gone. Those that every entry has are days. */
export function declaredType(type: Item['type'], field: FieldId, data: Data): TypeSpec | undefined {
  const fields = fieldsOf(type, data);
  const declared = fields && own(fields, field)?.type;
  if (declared || !fields || typeof type !== 'string') return declared;
  return entryDateOf(field) && DATE;
}
