import { useState } from 'react';

/**
 * What a field shows that gives every key at once: what is typed, as long as it is what is stored but for the spaces
 * around it, which may stand before a word that comes next; or is nothing, where nothing is not stored. Else what is stored.
 * @returns what it shows; what takes the typed text; what lets go of it, when the field is left
 */
export function useLiveText(
  stored: string,
): [shown: string, type: (text: string) => void, leave: () => void] {
  const [typed, setTyped] = useState<string | null>(null);
  const bare = typed?.trim();
  const isStill = typed !== null && (bare === '' || bare === stored.trim());
  return [isStill ? typed : stored, setTyped, () => setTyped(null)];
}
