import { kindOf, kindOnly, type Typed, type TypeSpec } from '../model';
import { say, type Said } from '../said';
import { convert, isEmpty } from './convert';
import type { Data } from './data';

/**
 * Why a value that is there counts as empty where a type is wanted: it is too long, too small or too
 * large, not among what may be chosen, or cannot be read as that. `null` where it counts, and where nothing is there.
 */
export function limitFault(typed: Typed, to: TypeSpec, data: Data): Said | null {
  if (isEmpty(typed, data) || convert(typed, to, data) !== null) return null;
  const read = typed.type === to.kind ? typed : convert(typed, kindOnly(to.kind), data);
  if (read === null) return say('not-readable');
  return kindOf(to.kind).fault?.(read.value, to) ?? say('not-to-choose');
}
