import type { Said } from '@sormet/core/said';
import { inWords } from './told';

/** What was taken back, or done again, as a sentence. */
export function takenWords({ way, said }: { way: 'back' | 'again'; said: Said }): string {
  return `${way === 'back' ? 'Taken back' : 'Done again'}: ${inWords(said)}.`;
}
