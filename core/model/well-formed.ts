import { say, type Said } from '../said';
import { pointer } from './pointer';

/** What is wrong with a value, and where: a JSON Pointer into it. */
export type Finding = { path: string; reason: Said };

// Half of a surrogate pair alone, or NUL. The first is no Unicode scalar value (Unicode 16, D76; RFC 8259, 8.2
// warns of it), the second is what PostgreSQL's text and jsonb cannot hold.
const ILL_FORMED =
  // oxlint-disable-next-line no-control-regex
  /\u0000|[\ud800-\udbff](?![\udc00-\udfff])|(?<![\ud800-\udbff])[\udc00-\udfff]/;

/** Whether a text is sequences of Unicode scalar values without NUL: what can be stored, sent and shown everywhere. */
export function isWellFormed(text: string): boolean {
  return !ILL_FORMED.test(text);
}

const REASON = say('not-storable');

/** How deep values may be nested: what reads them goes down step by step, and must not run out of steps. */
const DEEPEST_JSON = 100;

/**
 * The first text in a JSON value, member names included, that is ill-formed, or where it is nested too deep. Walks without recursion, so
 * that no value is too deep for it.
 */
export function illFormedText(value: unknown): Finding | undefined {
  const open: { at: unknown; path: readonly string[] }[] = [{ at: value, path: [] }];
  for (let next = open.pop(); next; next = open.pop()) {
    const { at, path } = next;
    if (path.length > DEEPEST_JSON)
      return {
        path: pointer(...path.slice(0, 4)),
        reason: say('nested-too-deep', { most: DEEPEST_JSON }),
      };
    if (typeof at === 'string') {
      if (!isWellFormed(at)) return { path: pointer(...path), reason: REASON };
    } else if (typeof at === 'object' && at !== null) {
      for (const [name, inner] of Object.entries(at)) {
        if (!isWellFormed(name)) return { path: pointer(...path), reason: REASON };
        if (typeof inner === 'string' || (typeof inner === 'object' && inner !== null))
          open.push({ at: inner, path: [...path, name] });
      }
    }
  }
  return undefined;
}
