import type { ComponentDoc, PageDoc } from './documents';
import { entryDateOf } from './entry-dates';

/** By what was looked at once: it never changes. */
const known = new WeakMap<object, boolean>();

/** Whether a page or a definition reads the days of entries anywhere: each of its nodes is looked at once. */
export function readsDates(doc: PageDoc | ComponentDoc): boolean {
  for (const id in doc.nodes) if (asks(doc.nodes[id])) return true;
  return doc.kind === 'component'
    ? asks(doc.properties) || asks(doc.rules)
    : asks(doc.title) || asks(doc.description) || asks(doc.image);
}

/**
 * Whether somewhere in something a path of fields ends in a day of an entry. It goes through whatever there is, by no schema:
 * what claims are asked of need not be sound yet.
 */
function asks(held: unknown): boolean {
  if (typeof held !== 'object' || held === null) return false;
  let found = known.get(held);
  if (found !== undefined) return found;
  if (Array.isArray(held)) found = held.some(asks);
  else {
    const { path } = held as { path?: unknown };
    const last: unknown = Array.isArray(path) ? path.at(-1) : undefined;
    const isDay = typeof last === 'string' && entryDateOf(last) !== undefined;
    found = isDay || Object.values(held).some(asks);
  }
  known.set(held, found);
  return found;
}
