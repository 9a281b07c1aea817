import { own, pointer, type Finding, type Json } from '../model';
import { say, type Said } from '../said';

/** An object of JSON, as it is read and not written to. */
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
  return new Extending(file, findings).group(file, [], []);
}

class Extending {
  /** Groups with what they extend, by their paths: each is worked out once, however many extend it. */
  private readonly known = new Map<string, JsonObject>();
  private readonly sizes = new WeakMap<JsonObject, number>();

  constructor(
    private readonly file: JsonObject,
    private readonly findings: Finding[],
  ) {}

  private wrong(path: readonly string[], reason: Said): JsonObject {
    this.findings.push({ path: pointer(...path, '$extends'), reason });
    return {};
  }

  /** How many groups and tokens stand in a group, those in them counted in: each object is looked at once. */
  private sizeOf(group: JsonObject): number {
    let size = this.sizes.get(group);
    if (size !== undefined) return size;
    size = 0;
    for (const [name, value] of Object.entries(group))
      if (!name.startsWith('$') && isObject(value))
        size += isToken(value) ? 1 : 1 + this.sizeOf(value);
    this.sizes.set(group, size);
    return size;
  }

  group(group: JsonObject, path: readonly string[], way: readonly string[]): JsonObject {
    const here = JSON.stringify(path);
    const known = this.known.get(here);
    if (known) return known;
    const before = this.findings.length;
    const { $extends: named, ...said } = group;
    const inner = Object.fromEntries(
      Object.entries(said).map(([name, value]) => [
        name,
        isObject(value) && !name.startsWith('$') && !isToken(value)
          ? this.group(value, [...path, name], way)
          : value,
      ]),
    );
    const made = named === undefined ? inner : this.withExtended(named, inner, path, way);
    // What is wrong is told wherever it is met.
    if (this.findings.length === before) this.known.set(here, made);
    return made;
  }

  private withExtended(
    named: Json,
    inner: JsonObject,
    path: readonly string[],
    way: readonly string[],
  ): JsonObject {
    const target = pathOf(named);
    if (!target) return this.wrong(path, say('group-in-braces'));
    const key = target.join('.');
    const here = path.join('.');
    if ([...way, here].includes(key) || isWithin(target, path) || isWithin(path, target))
      return this.wrong(path, say('group-of-itself', { way: [...way, here, key] }));
    const other = target.reduce<Json | undefined>(
      (at, name) => (isObject(at) ? own(at, name) : undefined),
      this.file as Json,
    );
    if (!isObject(other)) return this.wrong(path, say('names-not-there', { name: key }));
    if (isToken(other)) return this.wrong(path, say('names-token-not-group', { name: key }));
    const below = this.group(other, target, [...way, here]);
    if (this.sizeOf(below) > MOST_MEMBERS)
      return this.wrong(path, say('too-many-members', { most: MOST_MEMBERS }));
    return merged(below, inner);
  }
}

/** How many groups and tokens a file may come to with all that its groups extend. */
export const MOST_MEMBERS = 20_000;

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
        ? merged(other, value)
        : value;
  }
  return made;
}
