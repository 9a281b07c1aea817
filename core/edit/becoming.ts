import { sameJson, type Typed, type TypeSpec } from '../model';
import { convert, type Data } from '../value';

/** What one stored value will show as a new type: the same, something made of it, nothing; or nothing as before. */
export type Becomes = 'kept' | 'converted' | 'empty' | 'was empty';

/**
 * What a stored value shows as another type. It is changed by nothing: values are converted when they are read.
 * @param to `null` where nothing will read it any more
 */
export function becomingOf(
  value: Typed,
  from: TypeSpec,
  to: TypeSpec | null,
  data: Data,
): { becomes: Becomes; then: Typed | null } {
  const before = convert(value, from, data);
  const then = to === null ? null : convert(value, to, data);
  if (!before) return { becomes: then ? 'converted' : 'was empty', then };
  if (!then) return { becomes: 'empty', then };
  const isSame = before.type === then.type && sameJson(before.value, then.value);
  return { becomes: isSame ? 'kept' : 'converted', then };
}
