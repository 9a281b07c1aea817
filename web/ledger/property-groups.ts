import { inOrder, own, type Property, type PropertyId } from '@sormet/core/model';

/** Properties by group in order; those without a group under one heading of their own. */
export function groupsOf(
  properties: Readonly<Record<PropertyId, Property>>,
  groups: Readonly<Record<string, { label: string; order: string }>>,
): { key: string; label: string; rows: [PropertyId, Property][] }[] {
  const sorted = inOrder(properties);
  const found = inOrder(groups).map(([key, { label }]) => ({
    key,
    label,
    rows: sorted.filter(([, { group }]) => group === key),
  }));
  const alone = sorted.filter(([, { group }]) => group === null || !own(groups, group));
  return [
    ...found.filter(({ rows }) => rows.length > 0),
    ...(alone.length > 0 ? [{ key: '', label: 'Properties', rows: alone }] : []),
  ];
}
