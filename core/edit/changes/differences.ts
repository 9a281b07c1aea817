import { own, pointer, sameJson } from '../../model';
import { change, type Change } from './change';

type Json = Readonly<Record<string, unknown>>;

/**
 * The changes that lead from some documents to others, each as deep as it can be: only members that differ are
 * named, whole documents only where they came or went.
 */
export function differences(before: Json, after: Json): Change[] {
  const changes: Change[] = [];
  for (const doc of new Set([...Object.keys(before), ...Object.keys(after)])) {
    const compare = (was: unknown, now: unknown, path: readonly string[]) => {
      if (sameJson(was, now)) return;
      if (!isRecord(was) || !isRecord(now)) {
        changes.push(change(doc, pointer(...path), was, now));
        return;
      }
      for (const name of new Set([...Object.keys(was), ...Object.keys(now)]))
        compare(own(was, name), own(now, name), [...path, name]);
    };
    compare(own(before, doc), own(after, doc), []);
  }
  return changes;
}

function isRecord(value: unknown): value is Json {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}
