/** A count with its word: `1 instance`, `3 instances`. */
export function count(n: number, one: string, many = one + 's'): string {
  return `${n} ${n === 1 ? one : many}`;
}
