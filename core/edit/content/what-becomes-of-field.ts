import {
  allOf,
  docOf,
  own,
  type Documents,
  type EntryDoc,
  type FieldId,
  type Typed,
  type TypeSpec,
} from '../../model';
import type { Data } from '../../value';
import { becomingOf, type Becomes } from '../becoming';

/** What an entry holds in a field, and what becomes of it. */
export interface FieldBecoming {
  readonly entry: EntryDoc;
  readonly value: Typed;
  readonly becomes: Becomes;
  /** What it will show then. */
  readonly then: Typed | null;
}

/**
 * What becomes of everything that entries hold in a field when its type is another (or it goes, for `null`). Nothing of
 * it is changed by that, so all of it comes back with the type.
 */
export function whatBecomesOfField(
  documents: Documents,
  type: string,
  field: FieldId,
  to: TypeSpec | null,
  data: Data,
): FieldBecoming[] {
  const made = own(docOf(documents, 'type', type)?.fields ?? {}, field);
  if (!made) return [];
  return allOf(documents, 'entry').flatMap((entry) => {
    const value = entry.type === type ? own(entry.values, field) : undefined;
    if (!value || value.value === null) return [];
    return [{ entry, value, ...becomingOf(value, made.type, to, data) }];
  });
}
