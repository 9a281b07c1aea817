import { Type } from '@sinclair/typebox';
import { allOf, docOf, type Documents, own, TypeDoc, View } from '../../model';
import { say, type Told } from '../../said';
import { exact, Id, Label } from '../args';
import { change, changeTo } from '../changes';
import { defineEdit, gone, refuse } from '../define';

/** Adds a content type. */
export const addType = defineEdit({
  args: Type.Object({ type: TypeDoc }, exact),
  run(documents, { type }) {
    return documents.get(type.id)
      ? refuse(say('id-taken'), type.id)
      : [change(type.id, '', undefined, type)];
  },
  told: (_, { type }) => say('added-type', { type: type.plural }),
});

/** Names a content type, says by which of its fields people know an entry, or from which fields slugs are made. */
export const setType = defineEdit({
  args: Type.Object(
    {
      type: Id,
      set: Type.Union([
        Type.Object({ name: Label }, exact),
        Type.Object({ plural: Label }, exact),
        Type.Object({ title: Id }, exact),
        /** `null`: from the title. */
        Type.Object({ slugFrom: Type.Union([TypeDoc.properties.slugFrom, Type.Null()]) }, exact),
      ]),
    },
    exact,
  ),
  run(documents, { type, set }) {
    const doc = docOf(documents, 'type', type);
    if (!doc) return gone('the-content-type', type);
    const named = 'title' in set ? [set.title] : 'slugFrom' in set ? (set.slugFrom ?? []) : [];
    if (!named.every((field) => own(doc.fields, field))) return gone('the-field', type);
    const [member, value] = Object.entries(set)[0]!;
    return changeTo(documents, type, [member], value ?? undefined);
  },
  told: (documents, { type }) => say('changed-type', { type: typeName(documents, type) }),
});

/** Keeps a way of looking at the entries of a type, another in its place, or keeps it no more. */
export const setView = defineEdit({
  args: Type.Object({ type: Id, view: Id, made: Type.Union([View, Type.Null()]) }, exact),
  run(documents, { type, view, made }) {
    const doc = docOf(documents, 'type', type);
    if (!doc) return gone('the-content-type', type);
    const views = { ...doc.views };
    if (made) views[view] = made;
    else delete views[view];
    return doc.views && Object.keys(views).length > 0
      ? changeTo(documents, type, ['views', view], made ?? undefined)
      : changeTo(documents, type, ['views'], Object.keys(views).length > 0 ? views : undefined);
  },
  told: (documents, { type, view, made }) =>
    say(made ? 'kept-view' : 'dropped-view', {
      view: made?.label ?? own(docOf(documents, 'type', type)?.views ?? {}, view)?.label ?? '',
      type: typeName(documents, type),
    }),
});

/** Removes a content type with all its entries. What is made from them has to go first. */
export const removeType = defineEdit({
  args: Type.Object({ type: Id }, exact),
  run(documents, { type }) {
    const doc = docOf(documents, 'type', type);
    if (!doc) return gone('the-content-type', type);
    const entries = allOf(documents, 'entry').filter((entry) => entry.type === type);
    return [doc, ...entries].map((each) => change(each.id, '', each, undefined));
  },
  told: (documents, { type }) => say('removed-thing', { what: typeName(documents, type) }),
});

/** The name of many entries of a type, where something is said of it. */
export function typeName(documents: Documents, type: string): Told {
  return docOf(documents, 'type', type)?.plural ?? say('the-content-type');
}
