import { Type } from '@sinclair/typebox';
import { docOf, type Documents, Field, own, pointer, TypeDoc, Typed } from '../../model';
import { say, type Told } from '../../said';
import { Before, exact, Id, Label, PlaceInGroup } from '../args';
import { type Change, changeTo, type Refusal } from '../changes';
import { defineEdit, gone, refuse } from '../define';
import { ordersPutting } from '../ordering';
import { typeName } from './types';

/** Adds a field to a content type: its entries hold nothing in it yet. */
export const addTypeField = defineEdit({
  args: Type.Object({ type: Id, field: Id, made: Field }, exact),
  run(documents, { type, field, made }) {
    const doc = docOf(documents, 'type', type);
    if (!doc) return gone('the-content-type', type);
    if (own(doc.fields, field)) return refuse(say('ids-taken'), type);
    const { default: begins, ...rest } = made;
    const now = (begins?.value ?? null) === null ? rest : made;
    return keyOfOther(doc, made.key, field) ?? changeTo(documents, type, ['fields', field], now);
  },
  told: (documents, { type, made }) =>
    say('added-field', { field: made.label, type: typeName(documents, type) }),
});

/** Sets what is said of a field. Values stay as they were written: they are converted when they are read. */
export const setTypeField = defineEdit({
  args: Type.Object(
    {
      type: Id,
      field: Id,
      set: Type.Union([
        Type.Object({ label: Label }, exact),
        Type.Object({ key: Field.properties.key }, exact),
        Type.Object({ type: Field.properties.type }, exact),
        Type.Object({ help: Type.String({ maxLength: 500 }) }, exact),
        Type.Object({ required: Type.Boolean() }, exact),
        Type.Object({ unique: Type.Boolean() }, exact),
        Type.Object({ aside: Type.Boolean() }, exact),
        Type.Object({ default: Type.Union([Typed, Type.Null()]) }, exact),
        Type.Object({ place: PlaceInGroup }, exact),
      ]),
    },
    exact,
  ),
  run(documents, { type, field, set }) {
    const doc = docOf(documents, 'type', type);
    if (!doc || !own(doc.fields, field)) return gone('the-field', type);
    if ('place' in set) return placing(documents, doc, field, set.place);
    const wrong = 'key' in set ? keyOfOther(doc, set.key, field) : undefined;
    if (wrong) return wrong;
    if ('default' in set) {
      const begins = (set.default?.value ?? null) === null ? undefined : set.default;
      return changeTo(documents, type, ['fields', field, 'default'], begins);
    }
    if ('help' in set)
      return changeTo(documents, type, ['fields', field, 'help'], set.help.trim() || undefined);
    const [member, value] = Object.entries(set)[0]!;
    return changeTo(documents, type, ['fields', field, member], value || undefined);
  },
  told(documents, { type, field, set }) {
    const about = { field: fieldName(documents, type, field), type: typeName(documents, type) };
    return say('place' in set ? 'moved-field' : 'changed-field', about);
  },
});

/** Takes a field out of a content type. What entries hold in it stays stored, and comes back with it. */
export const removeTypeField = defineEdit({
  args: Type.Object({ type: Id, field: Id }, exact),
  run(documents, { type, field }) {
    const doc = docOf(documents, 'type', type);
    const made = doc && own(doc.fields, field);
    if (!doc || !made) return gone('the-field', type);
    if (doc.title === field) return refuse(say('title-field-stays'), type);
    const slugFrom = doc.slugFrom?.filter((each) => each !== field);
    return [
      ...changeTo(documents, type, ['fields', field], undefined),
      ...changeTo(documents, type, ['slugFrom'], slugFrom?.length ? slugFrom : undefined),
      ...emptied(documents, doc, field, null),
    ];
  },
  told: (documents, { type, field }) =>
    say('removed-field', {
      field: fieldName(documents, type, field),
      type: typeName(documents, type),
    }),
});

/** Names a heading over fields, or moves it among the others. */
export const setTypeGroup = defineEdit({
  args: Type.Object(
    {
      type: Id,
      group: Id,
      set: Type.Union([
        Type.Object({ label: Label }, exact),
        Type.Object({ before: Before }, exact),
      ]),
    },
    exact,
  ),
  run(documents, { type, group, set }) {
    const groups = docOf(documents, 'type', type)?.groups ?? {};
    if (!own(groups, group)) return gone('the-group', type);
    if ('label' in set) return changeTo(documents, type, ['groups', group, 'label'], set.label);
    const others = Object.entries(groups).filter(([id]) => id !== group);
    return Object.entries(ordersPutting(group, set.before, others)).flatMap(([id, order]) =>
      changeTo(documents, type, ['groups', id, 'order'], order),
    );
  },
  told: (documents, { type }) => say('changed-type', { type: typeName(documents, type) }),
});

function placing(
  documents: Documents,
  doc: TypeDoc,
  field: string,
  {
    group,
    before,
  }: { group: { id: string; label: string; order: string } | null; before: string | null },
): Change[] {
  const changes: Change[] = [];
  if (group && !own(doc.groups ?? {}, group.id)) {
    const { id, ...rest } = group;
    changes.push(
      ...(doc.groups
        ? changeTo(documents, doc.id, ['groups', id], rest)
        : changeTo(documents, doc.id, ['groups'], { [id]: rest })),
    );
  }
  changes.push(...changeTo(documents, doc.id, ['fields', field, 'group'], group?.id));
  const within = Object.entries(doc.fields).filter(
    ([id, each]) => id !== field && each.group === group?.id,
  );
  for (const [id, order] of Object.entries(ordersPutting(field, before, within)))
    changes.push(...changeTo(documents, doc.id, ['fields', id, 'order'], order));
  return [...changes, ...emptied(documents, doc, field, group?.id ?? null)];
}

/** A heading goes with the last field under it. */
function emptied(documents: Documents, doc: TypeDoc, field: string, into: string | null): Change[] {
  const left = doc.fields[field]!.group;
  const isEmpty =
    left !== undefined &&
    left !== into &&
    Object.entries(doc.fields).every(([id, each]) => id === field || each.group !== left);
  return isEmpty ? changeTo(documents, doc.id, ['groups', left], undefined) : [];
}

function fieldName(documents: Documents, type: string, field: string): Told {
  return own(docOf(documents, 'type', type)?.fields ?? {}, field)?.label ?? say('a-field');
}

/** That another field has a key: expressions and files name fields by it. */
function keyOfOther(doc: TypeDoc, key: string, but: string): Refusal | undefined {
  const other = Object.keys(doc.fields).find((id) => id !== but && doc.fields[id]!.key === key);
  return other === undefined
    ? undefined
    : refuse(
        say('key-of-other', { label: doc.fields[other]!.label, key }),
        doc.id,
        pointer('fields', other),
      );
}
