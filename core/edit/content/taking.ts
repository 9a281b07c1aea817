import { Type } from '@sinclair/typebox';
import {
  AssetDoc,
  docOf,
  EntryDoc,
  Field,
  LARGEST_EDIT,
  Option,
  own,
  TypeDoc,
  Typed,
} from '../../model';
import { say } from '../../said';
import { exact, Id } from '../args';
import { change, type Change, changeTo } from '../changes';
import { defineEdit, gone, refuse } from '../define';
import { slugTaken } from './entries';
import { typeName } from './types';

/**
 * Takes content in from a file, all of it or nothing: a type that is made from it, new fields and options, files, new
 * entries, and other values of entries that are there.
 */
export const takeContent = defineEdit({
  args: Type.Object(
    {
      /** The content type that it is of. */
      type: Id,
      made: Type.Union([TypeDoc, Type.Null()]),
      fields: Type.Record(Id, Field, exact),
      /** New options of choices, by field. */
      options: Type.Record(Id, Type.Record(Id, Option, exact), exact),
      assets: Type.Array(AssetDoc, { maxItems: 5000 }),
      entries: Type.Array(EntryDoc, { maxItems: LARGEST_EDIT }),
      values: Type.Array(
        Type.Object(
          {
            entry: Id,
            /** What is another; `null` is emptied. */
            values: Type.Record(Id, Type.Union([Typed, Type.Null()]), exact),
            draft: Type.Optional(Type.Boolean()),
          },
          exact,
        ),
        { maxItems: LARGEST_EDIT },
      ),
    },
    exact,
  ),
  run(documents, { type, made, fields, options, assets, entries, values }) {
    const doc = made ?? docOf(documents, 'type', type);
    if (!doc) return gone('the-content-type', type);
    if (doc.id !== type) return refuse(say('ids-taken'), type);
    const coming = [...(made ? [made] : []), ...assets, ...entries];
    if (new Set(coming.map(({ id }) => id)).size < coming.length)
      return refuse(say('ids-taken'), type);
    const there = coming.find(({ id }) => documents.get(id) !== undefined);
    if (there) return refuse(say('id-taken'), there.id);
    const changes: Change[] = coming.map((each) => change(each.id, '', undefined, each));
    if (!made) {
      for (const field in fields) {
        if (own(doc.fields, field)) return refuse(say('ids-taken'), type);
        changes.push(...changeTo(documents, type, ['fields', field], fields[field]));
      }
      for (const field in options) {
        const held = own(doc.fields, field)?.type;
        if (held?.kind !== 'choice') return gone('the-field', type);
        for (const option in options[field])
          changes.push(
            ...changeTo(
              documents,
              type,
              ['fields', field, 'type', 'options', option],
              options[field][option],
            ),
          );
      }
    }
    for (const { type: of, slug } of entries) changes.push(...slugTaken(documents, of, slug));
    for (const { entry, values: set, draft } of values) {
      const stored = docOf(documents, 'entry', entry);
      if (!stored) return gone('the-entry', entry);
      // What is another goes as one change where it is much: a file of many rows stays one edit.
      const now: Record<string, Typed> = { ...stored.values };
      for (const [field, value] of Object.entries(set))
        if (value === null) delete now[field];
        else now[field] = value;
      changes.push(
        ...(Object.keys(set).length > 2
          ? changeTo(documents, entry, ['values'], now)
          : Object.entries(set).flatMap(([field, value]) =>
              changeTo(documents, entry, ['values', field], value ?? undefined),
            )),
        ...(draft === undefined ? [] : changeTo(documents, entry, ['draft'], draft)),
      );
    }
    return changes;
  },
  told: (documents, { type, made, entries, values }) =>
    say('took-content', {
      type: made?.plural ?? typeName(documents, type),
      added: entries.length,
      changed: values.length,
    }),
});
