import { useState } from 'react';
import { sameJson } from '@sormet/core/model';

/** A value as it was before, as long as nothing in it changed: what is drawn from it is then not drawn anew. */
export function useStable<T extends object>(value: T): T {
  const [kept, keep] = useState(value);
  if (kept === value || sameJson(kept, value)) return kept;
  keep(value);
  return value;
}
