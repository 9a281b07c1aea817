import { own } from './own';

/**
 * JSON Pointers (RFC 6901) into documents. Documents hold no arrays that edits reach into, so tokens are
 * member names.
 */

/** What a text must be to be a pointer (RFC 6901, 3), as a regular expression. */
export const POINTER_PATTERN = '^(/([^~/]|~[01])*)*$';

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
    if (typeof at !== 'object' || at === null) return undefined;
    at = own(at as Record<string, unknown>, token);
  }
  return at;
}
