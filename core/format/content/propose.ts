import {
  allOf,
  entryTitle,
  newId,
  orderBetween,
  ordersFor,
  safeAddress,
  slugOf,
  type Documents,
  type Field,
  type FieldId,
  type TypeDoc,
  type TypeSpec,
} from '../../model';
import { keyFor } from '../../edit';
import { languageOf } from '../../locale';
import { DATE_ORDERS, readDay } from './read-day';
import { readDecimal } from './read-decimal';
import type { Table } from './table';
import { namesIn, type Ways } from './value-reader';

/** What a column of a file becomes. */
export type Mapped =
  | { readonly to: 'nothing' }
  | { readonly to: 'slug' }
  | { readonly to: 'draft' }
  | { readonly to: 'field'; readonly field: FieldId }
  | { readonly to: 'new'; readonly id: FieldId; readonly field: Field };

/** How many cells of a column are looked at. */
const LOOKED_AT = 2000;

/** How numbers and dates are written, as far as the cells show it: the site's language decides where they do not. */
export function waysOf(documents: Documents, table: Table): Ways {
  const cells = table.columns.flatMap((_, i) => filled(table, i));
  const numbers = cells.filter((cell) => /^[-+]?[\d.,' ]*\d$/.test(cell) && /[.,]/.test(cell));
  const asDot = numbers.filter((cell) => readDecimal(cell, '.') !== null).length;
  const asComma = numbers.filter((cell) => readDecimal(cell, ',') !== null).length;
  const usual = languageOf(documents.site.language).readNumber('1,5') === 1.5 ? ',' : '.';
  const days = cells.filter((cell) => /^\d{1,2}[./-]\d{1,2}[./-]\d{4}$/.test(cell));
  const language = languageOf(documents.site.language);
  const read = (order: 'dmy' | 'mdy') =>
    days.filter((cell) => readDay(cell, order, language) !== null).length;
  const [dmy, mdy] = [read('dmy'), read('mdy')];
  return {
    decimal: asDot === asComma ? usual : asDot > asComma ? '.' : ',',
    dates: mdy > dmy ? 'mdy' : days.length > 0 ? 'dmy' : DATE_ORDERS[0],
  };
}

/** The cells of a column that hold something. */
function filled({ rows }: Table, column: number): string[] {
  const found: string[] = [];
  for (const { cells } of rows.slice(0, LOOKED_AT)) {
    const cell = cells[column]!.trim();
    if (cell !== '') found.push(cell);
  }
  return found;
}

/**
 * What each column of a file may become: the field that is called so, by label or key; else a new field of the kind that
 * its cells show.
 * @param type the content type whose entries come in; nothing for one that is made from the file
 */
export function proposeColumns(
  documents: Documents,
  table: Table,
  type: TypeDoc | undefined,
  ways: Ways,
): Mapped[] {
  const taken = new Set<FieldId>();
  const keys = new Set(Object.values(type?.fields ?? {}).map(({ key }) => key));
  let last: string | null = null;
  for (const { order } of Object.values(type?.fields ?? {}))
    if (last === null || order > last) last = order;
  return table.columns.map((name, i): Mapped => {
    const word = bare(name);
    const known = Object.entries(type?.fields ?? {}).find(
      ([id, { label, key }]) => !taken.has(id) && (bare(label) === word || bare(key) === word),
    );
    if (known) {
      taken.add(known[0]);
      return { to: 'field', field: known[0] };
    }
    if (word === 'slug') return { to: 'slug' };
    if (word === 'draft') return { to: 'draft' };
    const key = keyFor(labelOf(name), keys);
    keys.add(key);
    last = orderBetween(last, null);
    return {
      to: 'new',
      id: newId(),
      field: {
        label: labelOf(name),
        key,
        order: last,
        type: kindShown(documents, filled(table, i), ways),
      },
    };
  });
}

const bare = (name: string) => slugOf(name, '').replaceAll('-', '');

/** A column’s name as people read it: the last part of a path, its words apart. */
function labelOf(name: string): string {
  const words = name
    .slice(name.lastIndexOf('.') + 1)
    .replace(/_/g, ' ')
    .replace(/(\p{Ll})(\p{Lu})/gu, '$1 $2')
    .trim()
    .slice(0, 120);
  const shown = words === '' ? name.slice(0, 120) : words;
  return shown[0]!.toUpperCase() + shown.slice(1);
}

/** The type that all cells of a column can be read as; text where they are nothing more. */
export function kindShown(documents: Documents, cells: readonly string[], ways: Ways): TypeSpec {
  if (cells.length === 0) return { kind: 'text' };
  const all = (test: (cell: string) => boolean) => cells.every(test);
  const language = languageOf(documents.site.language);
  if (all((cell) => /^(yes|no|true|false)$/i.test(cell))) return { kind: 'boolean' };
  // What begins with a nought is a number of a telephone or a place, not one to count with.
  if (all((cell) => readDecimal(cell, ways.decimal) !== null && !/^[-+]?0\d/.test(cell)))
    return { kind: 'number' };
  if (all((cell) => readDay(cell, ways.dates, language) !== null)) return { kind: 'date' };
  if (all((cell) => /^(https?:\/\/|mailto:|tel:)/i.test(cell) && safeAddress(cell) !== ''))
    return { kind: 'link' };
  if (all((cell) => /^[^\s@/]+@[^\s@/]+\.[^\s@/]+$/.test(cell))) return { kind: 'link' };
  if (all((cell) => /\.(jpe?g|png|gif|webp|avif|svg)$/i.test(cell))) return { kind: 'image' };
  const referred = typeReferredTo(documents, cells);
  if (referred) return referred;
  const distinct = new Set(cells);
  const isChoice =
    distinct.size <= 12 &&
    cells.length >= 3 * distinct.size &&
    [...distinct].every((each) => each.length <= 40);
  return isChoice ? { kind: 'choice', options: optionsOf([...distinct]) } : { kind: 'text' };
}

/** By what entries can be named, in small letters, by their types; each state of a site is gone through once. */
function entryNames(documents: Documents): ReadonlyMap<string, ReadonlySet<string>> {
  const kept = namesOf.get(documents);
  if (kept) return kept;
  const names = new Map<string, Set<string>>();
  for (const entry of allOf(documents, 'entry')) {
    const set = names.get(entry.type) ?? new Set<string>();
    names.set(entry.type, set);
    set.add(entryTitle(documents, entry).toLowerCase()).add(entry.slug);
  }
  namesOf.set(documents, names);
  return names;
}

const namesOf = new WeakMap<Documents, ReadonlyMap<string, ReadonlySet<string>>>();

/** A content type of which most cells name entries: one each, or several. */
function typeReferredTo(documents: Documents, cells: readonly string[]): TypeSpec | undefined {
  for (const [of, known] of entryNames(documents)) {
    const one = cells.filter((cell) => known.has(cell.toLowerCase())).length;
    if (one >= cells.length * 0.6) return { kind: 'entry', of };
    const several = cells.filter((cell) => {
      const all = namesIn(cell);
      return (
        all.length > 1 &&
        all.filter((each) => known.has(each.toLowerCase())).length >= all.length * 0.6
      );
    }).length;
    if (one + several >= cells.length * 0.6) return { kind: 'entries', of };
  }
  return undefined;
}

/** Options of a choice that are called so. */
export function optionsOf(
  labels: readonly string[],
): Record<string, { label: string; order: string }> {
  const orders = ordersFor(labels.length);
  return Object.fromEntries(
    labels.map((label, i) => [newId(), { label: label.slice(0, 120), order: orders[i]! }]),
  );
}
