import { Type, type Static } from '@sinclair/typebox';
import { ID_PATTERN } from '../ids';
import { OrderKey } from '../order';
import { defineKind, specSchema } from './kind';
import { PlainSpec, PlainTyped } from './plain';

const Id = Type.String({ pattern: ID_PATTERN });

/** A field of a list's records. */
export const RecordField = Type.Object(
  {
    label: Type.String({ minLength: 1, maxLength: 120 }),
    key: Type.String({
      pattern: '^[a-z][a-zA-Z0-9]*$',
      maxLength: 80,
      says: 'key-form',
    }),
    order: OrderKey,
    type: PlainSpec,
  },
  { additionalProperties: false },
);
export type RecordField = Static<typeof RecordField>;

/** One record of a list: values by field, like an entry's, but of this list alone. */
export const ListRecord = Type.Object(
  { id: Id, values: Type.Record(Id, PlainTyped, { additionalProperties: false }) },
  { additionalProperties: false },
);
export type ListRecord = Static<typeof ListRecord>;

/** A list of records in their order, each with fields. */
export const listKind = defineKind({
  kind: 'list',
  spec: specSchema('list', {
    fields: Type.Record(Id, RecordField, { additionalProperties: false }),
  }),
  value: Type.Array(ListRecord, { maxItems: 1000 }),
  empty: [],
  isEmpty: (value) => value.length === 0,
  // Whether there is anything in it: what stands around a list follows it.
  to: { boolean: (value) => value.length > 0 },
  asksSite: true,
});
