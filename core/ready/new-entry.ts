import {
  claim,
  docOf,
  entryTitle,
  FORMAT,
  FreeSlugs,
  kindOf,
  newId,
  own,
  slugOf,
  type Documents,
  type EntryDoc,
  type FieldId,
  type Typed,
  type TypeDoc,
} from '../model';

/** What an entry holds, by field. */
export type EntryValues = Readonly<Record<FieldId, Typed>>;

/** The slugs that are free among the entries of a type; each is given once. */
export function freeSlugs(documents: Documents, type: string, but?: string): FreeSlugs {
  return new FreeSlugs((slug) =>
    documents.claiming(claim.slug(type, slug)).some((holder) => holder !== but),
  );
}

/** What a new entry of a type begins with: the defaults of its fields. */
export function beginningValues({ fields }: TypeDoc): Record<FieldId, Typed> {
  const values: Record<FieldId, Typed> = {};
  for (const id in fields) if (fields[id]!.default) values[id] = fields[id]!.default;
  return values;
}

/**
 * An entry that nobody has seen yet, as a draft.
 * @param values what it holds; the defaults of its fields where left out
 * @param slugs gives the slug where it is free
 * @param slug the one that it wants: as its values give it, or what it is (`new-shed`) while they give none
 */
export function newEntry(
  documents: Documents,
  type: TypeDoc,
  slugs: FreeSlugs,
  values: EntryValues = beginningValues(type),
  slug = slugFor(documents, type, values) || beginningSlug(type),
): EntryDoc {
  return {
    id: newId(),
    kind: 'entry',
    format: FORMAT,
    type: type.id,
    slug: slugs.take(slug),
    draft: true,
    values: { ...values },
  };
}

/** The slug that an entry has as long as nothing in it gives one. */
export function beginningSlug(type: TypeDoc): string {
  return `new-${slugOf(type.name, 'entry')}`;
}

/** Whether an entry still has the slug with which it began. */
export function hasBeginningSlug(type: TypeDoc, { slug }: EntryDoc): boolean {
  const begun = beginningSlug(type);
  return slug.startsWith(begun) && /^(-\d+)?$/.test(slug.slice(begun.length));
}

/** The slug that the fields of an entry give which its type names for that; `''` where they hold nothing of the sort. */
export function slugFor(documents: Documents, type: TypeDoc, values: EntryValues): string {
  const words = (type.slugFrom ?? [type.title]).map((field) =>
    wordsForSlug(documents, type, field, own(values, field)),
  );
  return slugOf(words.filter((each) => each !== '').join(' '), '');
}

/** A value in words that do not depend on the language: a date in digits, an entry by its title. */
function wordsForSlug(
  documents: Documents,
  type: TypeDoc,
  field: FieldId,
  value: Typed | undefined,
): string {
  if (!value || value.value === null) return '';
  switch (value.type) {
    case 'text':
    case 'date':
      return value.value;
    case 'number':
      return String(value.value);
    case 'choice': {
      const spec = own(type.fields, field)?.type;
      return spec?.kind === 'choice' ? (own(spec.options, value.value)?.label ?? '') : '';
    }
    case 'entry': {
      const entry = docOf(documents, 'entry', value.value);
      return entry ? entryTitle(documents, entry) : '';
    }
    default:
      return kindOf(value.type).spell?.(value.value as never) ?? '';
  }
}
