/**
 * What this browser keeps for whoever sits at it: how the bench is laid out, which keys do what. It may be full, closed or hold
 * what is not ours; then nothing is kept, and everything goes on.
 */

/** What is kept under a key, as `read` makes it out; `otherwise` where nothing that can be read is there. */
export function kept<T>(key: string, read: (stored: unknown) => T | undefined, otherwise: T): T {
  try {
    return read(JSON.parse(localStorage.getItem(key) ?? 'null')) ?? otherwise;
  } catch {
    // No storage, or what stands there is not ours.
    return otherwise;
  }
}

/** Keeps a value. @returns whether it could */
export function keep(key: string, value: unknown): boolean {
  try {
    localStorage.setItem(key, JSON.stringify(value));
    return true;
  } catch {
    // Storage is full or closed: it holds until the window is closed.
    return false;
  }
}
