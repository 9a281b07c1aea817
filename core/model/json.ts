/** Any JSON value. */
export type Json =
  | null
  | boolean
  | number
  | string
  | readonly Json[]
  | { readonly [key: string]: Json };

/** What is written for an object that says so itself, as `JSON.stringify` asks for it. */
function written(value: object): unknown {
  const { toJSON } = value as { toJSON?: () => unknown };
  return typeof toJSON === 'function' ? toJSON.call(value) : value;
}

/** Whether two JSON values are equal; members that are `undefined` count as absent. */
export function sameJson(one: unknown, other: unknown): boolean {
  if (one === other) return true;
  if (typeof one !== 'object' || typeof other !== 'object' || one === null || other === null)
    return false;
  const [a, b] = [written(one), written(other)];
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
  const record = written(value) as Record<string, unknown>;
  const members: string[] = [];
  for (const key of Object.keys(record).sort()) {
    if (record[key] !== undefined)
      members.push(JSON.stringify(key) + ':' + canonicalJson(record[key]));
  }
  return '{' + members.join(',') + '}';
}

/** How deep objects and lists may stand in each other in anything that is read from outside. */
export const DEEPEST_JSON = 200;

/** Whether objects and lists stand deeper in each other than they may; walked without recursion, since they may be as deep as they like. */
export function isTooDeep(value: unknown, most = DEEPEST_JSON): boolean {
  const open: { value: unknown; depth: number }[] = [{ value, depth: 1 }];
  for (let next = open.pop(); next; next = open.pop()) {
    if (typeof next.value !== 'object' || next.value === null) continue;
    if (next.depth > most) return true;
    for (const inner of Object.values(next.value))
      open.push({ value: inner, depth: next.depth + 1 });
  }
  return false;
}
