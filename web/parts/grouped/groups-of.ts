import { inOrder, own } from '@sormet/core/model';

interface Grouped {
  readonly order: string;
  readonly group?: string | null;
}

/**
 * Things by group in order; those without a group under one heading of their own.
 * @param alone that heading
 */
export function groupsOf<T extends Grouped>(
  things: Readonly<Record<string, T>>,
  groups: Readonly<Record<string, { label: string; order: string }>>,
  alone: string,
): { key: string; label: string; rows: [string, T][] }[] {
  const sorted = inOrder(things);
  const found = inOrder(groups).map(([key, { label }]) => ({
    key,
    label,
    rows: sorted.filter(([, { group }]) => group === key),
  }));
  const rest = sorted.filter(([, { group }]) => !own(groups, group ?? ''));
  return [
    ...found.filter(({ rows }) => rows.length > 0),
    ...(rest.length > 0 ? [{ key: '', label: alone, rows: rest }] : []),
  ];
}
