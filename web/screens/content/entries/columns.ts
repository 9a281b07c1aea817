import {
  byOrder,
  inOrder,
  ordersFor,
  own,
  type Field,
  type FieldId,
  type TypeDoc,
  type View,
} from '@sormet/core/model';
import { keep, kept } from '../../../store/kept';

/** A column of the table of entries: a field of their type, or what every entry has. */
export interface EntryColumn {
  readonly id: FieldId;
  readonly label: string;
  /** Nothing for what every entry has: its state, its slug. */
  readonly field: Field | undefined;
  /** In CSS px. */
  readonly width: number | undefined;
}

/** What every entry has beside its fields, as columns by ids that no field gets. */
export const STATE = 'entry-state';
export const SLUG = 'entry-slug';
/** When it was made, changed, published first and last: by the name of it in how the entry stands. */
export const DATES = {
  'entry-made': 'made',
  'entry-changed': 'changed',
  'entry-first': 'first',
  'entry-last': 'last',
} as const;
const OWN: Readonly<Record<string, string>> = {
  [STATE]: 'State',
  [SLUG]: 'Slug',
  'entry-made': 'Made',
  'entry-changed': 'Changed',
  'entry-first': 'First published',
  'entry-last': 'Last published',
};

/** Which columns are shown, in which order, how wide: by id. */
export type Shown = View['columns'];

/** The columns of a type as they are where nobody chose: the title first, then what its fields say. */
export function usualColumns({ fields, title }: TypeDoc): Shown {
  const listed = inOrder(fields).filter(([id, { aside }]) => id !== title && !aside);
  const ids = [title, ...listed.map(([id]) => id), STATE];
  const orders = ordersFor(ids.length);
  return Object.fromEntries(ids.map((id, i) => [id, { order: orders[i]! }]));
}

/** The columns in their order, the title before all others: those of fields that are gone are left out. */
export function columnsOf({ fields, title }: TypeDoc, shown: Shown): EntryColumn[] {
  const ids = Object.entries(shown).sort((a, b) =>
    a[0] === title ? -1 : b[0] === title ? 1 : byOrder(a, b),
  );
  return ids.flatMap(([id, { width }]): EntryColumn[] => {
    const field = own(fields, id);
    const label = field?.label ?? own(OWN, id);
    return label === undefined ? [] : [{ id, label, field, width }];
  });
}

/** Every column there could be. */
export function allColumns(type: TypeDoc): { id: FieldId; label: string }[] {
  return [
    ...inOrder(type.fields).map(([id, { label }]) => ({ id, label })),
    ...Object.entries(OWN).map(([id, label]) => ({ id, label })),
  ];
}

const keyOf = (site: string, type: string) => `sormet.content.columns.${site}.${type}`;

/** The columns that whoever sits at this browser chose for a type. */
export function keptColumns(site: string, type: TypeDoc): Shown {
  return kept<Shown>(
    keyOf(site, type.id),
    (stored) =>
      typeof stored === 'object' && stored !== null && Object.keys(stored).length > 0
        ? (stored as Shown)
        : undefined,
    usualColumns(type),
  );
}

/** Keeps the columns that were chosen. */
export function keepColumns(site: string, type: string, shown: Shown): void {
  keep(keyOf(site, type), shown);
}
