import { pointer, type Finding, type Json } from '../model';

export type JsonObject = Readonly<Record<string, Json>>;

/** Whether a value is an object of JSON. */
export const isObject = (value: Json | undefined): value is JsonObject & Json =>
  value !== null && typeof value === 'object' && !Array.isArray(value);

const isToken = (value: JsonObject): boolean => '$value' in value || '$ref' in value;

/**
 * A file of tokens with every group that extends another holding what that one holds: what it says itself stands in its
 * place, and tokens are taken whole (Design Tokens Format Module 2025.10, 6.4, Extending groups; from memory).
 */
export function extendedGroups(file: JsonObject, findings: Finding[]): JsonObject {
  const wrong = (path: readonly string[], reason: string) => {
    findings.push({ path: pointer(...path, '$extends'), reason });
    return {};
  };
  const extended = (
    group: JsonObject,
    path: readonly string[],
    way: readonly string[],
  ): JsonObject => {
    const { $extends: named, ...own } = group;
    const inner = Object.fromEntries(
      Object.entries(own).map(([name, value]) => [
        name,
        isObject(value) && !name.startsWith('$') && !isToken(value)
          ? extended(value, [...path, name], way)
          : value,
      ]),
    );
    if (named === undefined) return inner;
    const target = pathOf(named);
    if (!target) return wrong(path, 'a group is named in braces, or by its JSON Pointer');
    const key = target.join('.');
    const here = path.join('.');
    if ([...way, here].includes(key) || isWithin(target, path) || isWithin(path, target))
      return wrong(path, `would hold itself: ${[...way, here, key].join(' → ')}`);
    const other = target.reduce<Json | undefined>(
      (at, name) => (isObject(at) ? at[name] : undefined),
      file as Json,
    );
    if (!isObject(other)) return wrong(path, `names ${key}, which is not there`);
    if (isToken(other)) return wrong(path, `names ${key}, which is a token and no group`);
    return merged(extended(other, target, [...way, here]), inner);
  };
  return extended(file, [], []);
}

/** The path of a group that is named: `{a.b}`, `#/a/b`, or an object that refers to it so. */
function pathOf(named: Json): readonly string[] | undefined {
  if (isObject(named)) return named['$ref'] === undefined ? undefined : pathOf(named['$ref']);
  if (typeof named !== 'string') return undefined;
  const braced = /^\{([^{}]+)\}$/.exec(named)?.[1];
  if (braced !== undefined) return braced.split('.');
  if (!named.startsWith('#/')) return undefined;
  return named
    .slice(2)
    .split('/')
    .map((part) => part.replaceAll('~1', '/').replaceAll('~0', '~'));
}

function isWithin(inner: readonly string[], outer: readonly string[]): boolean {
  return outer.length <= inner.length && outer.every((part, i) => inner[i] === part);
}

function merged(below: JsonObject, above: JsonObject): JsonObject {
  const made: Record<string, Json> = { ...below };
  for (const [name, value] of Object.entries(above)) {
    const other = made[name];
    made[name] =
      isObject(value) && isObject(other) && !isToken(value) && !isToken(other)
        ? (merged(other, value) as Json)
        : value;
  }
  return made;
}
