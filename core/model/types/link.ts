import { Type, type Static } from '@sinclair/typebox';
import { ID_PATTERN } from '../ids';
import { defineKind, specSchema } from './kind';

const Id = Type.String({ pattern: ID_PATTERN });

/** Where a link leads: a page by id (with the entry, on pages made from entries), or an address. */
export const LinkValue = Type.Union([
  Type.Object(
    { to: Type.Literal('page'), page: Id, entry: Type.Optional(Id) },
    { additionalProperties: false },
  ),
  Type.Object(
    { to: Type.Literal('address'), href: Type.String({ maxLength: 2000 }) },
    { additionalProperties: false },
  ),
]);
export type LinkValue = Static<typeof LinkValue>;

/** Where a link leads. */
export const linkKind = defineKind({
  kind: 'link',
  spec: specSchema('link', {}),
  value: LinkValue,
  empty: null,
  isEmpty: (value, site) => site.href(value) === '',
  attribute: (name, value, site) => [[name, site.href(value)]],
  asksSite: true,
});
