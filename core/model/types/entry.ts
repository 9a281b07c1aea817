import { Type } from '@sinclair/typebox';
import { ID_PATTERN } from '../ids';
import type { LinkValue } from './link-value';
import { defineKind, specSchema } from './kind';

const Id = Type.String({ pattern: ID_PATTERN });

/** An entry, by its id. */
export const entryKind = defineKind({
  kind: 'entry',
  spec: specSchema('entry', {
    /** The content type it must be of; an entry of another counts as empty. */
    of: Type.Optional(Id),
  }),
  value: Id,
  empty: null,
  isEmpty: (value, site) => site.entry(value) === undefined,
  within: (value, { of }, site) =>
    of === undefined || site.entry(value)?.type === of ? value : null,
  to: {
    text(value, site) {
      const entry = site.entry(value);
      return entry ? site.title(entry) : null;
    },
    link(value, site): LinkValue | null {
      const entry = site.entry(value);
      const page = entry && site.pageOf(entry.type);
      return page ? { to: 'page', page, entry: value } : null;
    },
  },
  asksSite: true,
});
