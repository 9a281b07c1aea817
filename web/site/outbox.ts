import type { Conflict, PendingEdit } from '../store/pending';

/** What of a window's work the server does not have yet, kept in the browser, so that a reload loses nothing. */
export interface Outbox {
  readonly pending: readonly PendingEdit[];
  readonly conflicts: readonly Conflict[];
}

const PREFIX = 'sormet.outbox.';

function keyOf(site: string, window: string): string {
  return `${PREFIX}${site}.${window}`;
}

/**
 * Writes the outbox at once: before the next event, so that closing the window loses nothing.
 * @returns whether it is kept; not when the browser's storage is full or closed
 */
export function keepOutbox(site: string, window: string, { pending, conflicts }: Outbox): boolean {
  const key = keyOf(site, window);
  try {
    if (pending.length === 0 && conflicts.length === 0) localStorage.removeItem(key);
    else localStorage.setItem(key, JSON.stringify({ pending, conflicts }));
    return true;
  } catch {
    // The browser says no, whatever for: the person is told, by whoever asked.
    return false;
  }
}

/** What is stored under a key; nothing where it cannot be read, which then stays where it is. */
function storedOutbox(key: string): Outbox | undefined {
  try {
    const stored = JSON.parse(localStorage.getItem(key) ?? '') as Partial<Outbox> | null;
    return Array.isArray(stored?.pending) && Array.isArray(stored.conflicts)
      ? (stored as Outbox)
      : undefined;
  } catch {
    // No JSON: another program wrote here, or the browser lost half of it. It is left for whoever can read it.
    return undefined;
  }
}

/**
 * Takes the outboxes of windows that are gone, and this window's own from before a reload. What is taken
 * stands in this window's own outbox until everything in it is settled.
 */
export async function takeOutboxes(site: string, window: string): Promise<Outbox> {
  const held = new Set((await navigator.locks.query()).held?.map(({ name }) => name) ?? []);
  const pending: PendingEdit[] = [];
  const conflicts: Conflict[] = [];
  const taken: string[] = [];
  const prefix = keyOf(site, '');
  for (const key of Object.keys(localStorage).sort()) {
    if (!key.startsWith(prefix)) continue;
    const owner = key.slice(prefix.length);
    if (owner !== window && held.has(lockName(owner))) continue;
    const stored = storedOutbox(key);
    if (!stored) continue;
    pending.push(...stored.pending);
    conflicts.push(...stored.conflicts);
    if (owner !== window) taken.push(key);
  }
  keepOutbox(site, window, { pending, conflicts });
  for (const key of taken) localStorage.removeItem(key);
  return { pending, conflicts };
}

function lockName(window: string): string {
  return 'sormet.window.' + window;
}

let named: Promise<string> | undefined;

/** The name of this window: one for its life, however often it is asked for. */
export function windowName(): Promise<string> {
  return (named ??= nameWindow());
}

/**
 * The name of this window: the same after a reload, another for every other window. It is held as a
 * lock, so that a copied tab, which copies its storage too, gets a name of its own.
 */
async function nameWindow(): Promise<string> {
  const known = sessionStorage.getItem('sormet.window');
  for (const name of known ? [known, newName()] : [newName()]) {
    if (await holdLock(lockName(name))) {
      sessionStorage.setItem('sormet.window', name);
      return name;
    }
  }
  return newName();
}

function newName(): string {
  return crypto.randomUUID().slice(0, 13);
}

/** Holds a lock until the window closes; waits a little for the window's own lock from before a reload. */
function holdLock(name: string): Promise<boolean> {
  return new Promise((answer) => {
    const giveUp = AbortSignal.timeout(800);
    navigator.locks
      .request(name, { signal: giveUp }, () => {
        answer(true);
        return new Promise<never>(() => undefined);
      })
      .catch(() => answer(false));
  });
}
