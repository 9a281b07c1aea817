import type { Change } from './change';

/** One operation of a JSON Patch (RFC 6902). */
export type PatchOperation =
  | { op: 'test'; path: string; value: unknown }
  | { op: 'add'; path: string; value: unknown }
  | { op: 'replace'; path: string; value: unknown }
  | { op: 'remove'; path: string };

/** Changes to one document as a JSON Patch (RFC 6902), each value that goes tested first. */
export function asPatch(changes: readonly Change[]): PatchOperation[] {
  return changes.flatMap(({ path, was, now }): PatchOperation[] => {
    if (was === undefined) return now === undefined ? [] : [{ op: 'add', path, value: now }];
    const test: PatchOperation = { op: 'test', path, value: was };
    return now === undefined
      ? [test, { op: 'remove', path }]
      : [test, { op: 'replace', path, value: now }];
  });
}
