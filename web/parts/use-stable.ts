import { useRef } from 'react';
import { sameJson } from '@sormet/core/model';

/** A value as it was before, as long as nothing in it changed: what is drawn from it is then not drawn anew. */
export function useStable<T>(value: T): T {
  const kept = useRef(value);
  if (kept.current !== value && !sameJson(kept.current, value)) kept.current = value;
  return kept.current;
}
