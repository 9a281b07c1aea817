import {
  docOf,
  inOrder,
  type Documents,
  type Json,
  type TypeDoc,
  type TypeSpec,
} from '../../model';

/** The keyword under which a schema says what JSON Schema has no word for. */
export const KEYWORD = 'x-sormet';

/** What JSON Schema is in (its meta-schema). */
export const DIALECT = 'https://json-schema.org/draft/2020-12/schema';

/**
 * A content type as a JSON Schema (draft 2020-12) of what its entries hold, fields by key: what `writeJson` writes of an
 * entry passes it. What that has no word for stands under `x-sormet`, so that the type is read as it was.
 */
export function writeType(documents: Documents, type: TypeDoc): Json {
  const sorted = inOrder(type.fields);
  const properties = Object.fromEntries(
    sorted.map(([id, field]): [string, Json] => {
      const group = field.group === undefined ? undefined : type.groups?.[field.group]?.label;
      const own: Record<string, Json> = {
        kind: field.type.kind,
        ...(id === type.title ? { title: true } : {}),
        ...(field.unique ? { unique: true } : {}),
        ...(field.aside ? { aside: true } : {}),
        ...(group === undefined ? {} : { group }),
        ...referredTo(documents, field.type),
      };
      return [
        field.key,
        {
          title: field.label,
          ...(field.help === undefined ? {} : { description: field.help }),
          ...(schemaOf(field.type) as Record<string, Json>),
          ...defaultOf(field.default?.value, field.type),
          [KEYWORD]: own,
        },
      ];
    }),
  );
  return {
    $schema: DIALECT,
    title: type.name,
    type: 'object',
    properties,
    required: sorted.filter(([, { required }]) => required).map(([, { key }]) => key),
    [KEYWORD]: { plural: type.plural },
  };
}

/** The content type that a reference leads to, by its name: ids mean nothing elsewhere. */
function referredTo(documents: Documents, type: TypeSpec): Record<string, Json> {
  if ((type.kind !== 'entry' && type.kind !== 'entries') || type.of === undefined) return {};
  const of = docOf(documents, 'type', type.of);
  return of ? { of: of.name } : {};
}

/** A default where it is a plain value; others belong to their site. */
function defaultOf(value: unknown, type: TypeSpec): Record<string, Json> {
  if (type.kind === 'choice')
    return typeof value === 'string' && type.options[value]
      ? { default: type.options[value].label }
      : {};
  const isPlain = ['text', 'number', 'boolean', 'date'].includes(type.kind);
  return isPlain && value !== undefined && value !== null ? { default: value as Json } : {};
}

function schemaOf(type: TypeSpec): Json {
  switch (type.kind) {
    case 'text':
      return {
        type: 'string',
        ...(type.longest === undefined ? {} : { maxLength: type.longest }),
      };
    case 'number':
      return {
        type: 'number',
        ...(type.least === undefined ? {} : { minimum: type.least }),
        ...(type.most === undefined ? {} : { maximum: type.most }),
      };
    case 'boolean':
      return { type: 'boolean' };
    case 'date':
      return { type: 'string', format: 'date' };
    case 'link':
      return { type: 'string', format: 'uri-reference' };
    case 'choice':
      return {
        enum: inOrder(type.options)
          .filter(([, { gone }]) => gone === undefined)
          .map(([, { label }]) => label),
      };
    case 'image':
      return { type: 'string', contentMediaType: 'image/*' };
    default:
      // As cells hold it: by words, or as JSON in them.
      return { type: 'string' };
  }
}
