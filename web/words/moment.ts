/** A moment as people read it: `25 Nov 2026, 14:05`. */
export function momentWords(moment: string): string {
  return new Date(moment).toLocaleString('en-GB', { dateStyle: 'medium', timeStyle: 'short' });
}
