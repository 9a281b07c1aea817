import { sameJson } from '../../model';
import { change, type Change } from './change';

/** Changes after one another as one: for each place the first `was` and the last `now`. */
export function joinChanges(first: readonly Change[], then: readonly Change[]): Change[] {
  const joined = new Map<string, Change>();
  const key = ({ doc, path }: Change) => `${doc} ${path}`;
  for (const made of first) joined.set(key(made), made);
  for (const made of then) {
    const before = joined.get(key(made));
    joined.set(key(made), before ? change(made.doc, made.path, before.was, made.now) : made);
  }
  return [...joined.values()].filter(({ was, now }) => !sameJson(was, now));
}

/** Whether two edits write exactly the same places, so that the later can stand for both. */
export function samePlaces(a: readonly Change[], b: readonly Change[]): boolean {
  const places = (changes: readonly Change[]) =>
    changes.map(({ doc, path }) => `${doc} ${path}`).sort();
  return sameJson(places(a), places(b));
}
