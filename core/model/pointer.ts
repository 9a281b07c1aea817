/**
 * JSON Pointers (RFC 6901) into documents: reading, and writing by making a new value that shares
 * everything off the path. Documents hold no arrays that edits reach into, so tokens are member names.
 */

/** The pointer to these members: `/nodes/n1/values`. */
export function pointer(...tokens: string[]): string {
  return tokens.map((t) => '/' + t.replaceAll('~', '~0').replaceAll('/', '~1')).join('');
}

/** The member names of a pointer. @throws when it is no pointer. */
export function tokensOf(path: string): string[] {
  if (path === '') return [];
  if (path[0] !== '/') throw new Error(`“${path}” is no JSON Pointer: it begins with no “/”.`);
  return path
    .slice(1)
    .split('/')
    .map((t) => t.replaceAll('~1', '/').replaceAll('~0', '~'));
}

/** What stands at a pointer, `undefined` when nothing does. */
export function readAt(value: unknown, path: string): unknown {
  let at = value;
  for (const token of tokensOf(path)) {
    if (typeof at !== 'object' || at === null || !Object.hasOwn(at, token)) return undefined;
    at = (at as Record<string, unknown>)[token];
  }
  return at;
}

/**
 * The same value with another at the pointer; `undefined` takes the member away.
 * @throws when the container that should hold it is missing.
 */
export function writeAt<T>(value: T, path: string, now: unknown): T {
  return write(value, tokensOf(path), 0, now, path) as T;
}

function write(value: unknown, tokens: string[], at: number, now: unknown, path: string): unknown {
  if (at === tokens.length) return now;
  if (typeof value !== 'object' || value === null || Array.isArray(value))
    throw new Error(
      `Nothing stands at ${pointer(...tokens.slice(0, at))}, so ${path} cannot be written.`,
    );
  const token = tokens[at]!;
  const record = value as Record<string, unknown>;
  const inner = Object.hasOwn(record, token) ? record[token] : undefined;
  const next = write(inner, tokens, at + 1, now, path);
  if (next === inner && next !== undefined) return value;
  const copy = { ...record };
  if (next === undefined) delete copy[token];
  else
    Object.defineProperty(copy, token, {
      value: next,
      writable: true,
      enumerable: true,
      configurable: true,
    });
  return copy;
}
