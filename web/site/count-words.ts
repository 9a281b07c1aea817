/** A count with its word: `1 instance`, `3 instances`. */
export function count(n: number, one: string, many = one + 's'): string {
  return `${n} ${n === 1 ? one : many}`;
}

/** A moment as people read it: `25 Nov 2026, 14:05`. */
export function momentWords(moment: string): string {
  return new Date(moment).toLocaleString('en-GB', { dateStyle: 'medium', timeStyle: 'short' });
}
