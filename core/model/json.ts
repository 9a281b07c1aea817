/** Any JSON value. */
export type Json =
  null | boolean | number | string | readonly Json[] | { readonly [key: string]: Json };

/** Whether two JSON values are equal; members that are `undefined` count as absent. */
export function sameJson(a: unknown, b: unknown): boolean {
  if (a === b) return true;
  if (typeof a !== 'object' || typeof b !== 'object' || a === null || b === null) return false;
  if (Array.isArray(a) || Array.isArray(b)) {
    if (!Array.isArray(a) || !Array.isArray(b) || a.length !== b.length) return false;
    return a.every((item, i) => sameJson(item, b[i]));
  }
  const left = a as Record<string, unknown>;
  const right = b as Record<string, unknown>;
  for (const key in left) {
    if (left[key] !== undefined && !(Object.hasOwn(right, key) && sameJson(left[key], right[key])))
      return false;
  }
  for (const key in right) {
    if (right[key] !== undefined && (!Object.hasOwn(left, key) || left[key] === undefined))
      return false;
  }
  return true;
}

/** JSON with members sorted by name: equal values give equal text. */
export function canonicalJson(value: unknown): string {
  if (typeof value !== 'object' || value === null) return JSON.stringify(value);
  if (Array.isArray(value)) return '[' + value.map(canonicalJson).join(',') + ']';
  const record = value as Record<string, unknown>;
  const members: string[] = [];
  for (const key of Object.keys(record).sort()) {
    if (record[key] !== undefined)
      members.push(JSON.stringify(key) + ':' + canonicalJson(record[key]));
  }
  return '{' + members.join(',') + '}';
}
