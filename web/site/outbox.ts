import type { Conflict, PendingEdit, SetAside } from '../store/pending';
import { undecidedIn, waitingIn } from './outbox-shape';

/** What of a window's work the server does not have yet, kept in the browser, so that a reload loses nothing. */
export interface Outbox {
  readonly pending: readonly PendingEdit[];
  readonly conflicts: readonly Conflict[];
}

const PREFIX = 'sormet.outbox.';

/** Outboxes with something in them that cannot be read and that there was no room to set aside: they stay as they are. */
const untouched = new Set<string>();

function keyOf(site: string, window: string): string {
  return `${PREFIX}${site}.${window}`;
}

/**
 * Writes the outbox at once: before the next event, so that closing the window loses nothing.
 * @returns whether it is kept; not when the browser's storage is full or closed
 */
export function keepOutbox(site: string, window: string, { pending, conflicts }: Outbox): boolean {
  const key = keyOf(site, window);
  if (untouched.has(key)) return false;
  try {
    if (pending.length === 0 && conflicts.length === 0) localStorage.removeItem(key);
    else localStorage.setItem(key, JSON.stringify({ pending, conflicts }));
    return true;
  } catch {
    // The browser says no, whatever for: the person is told, by whoever asked.
    return false;
  }
}

/** What of another shape was found among what a browser keeps: it stays there, as it is, until somebody lets it go. */
const ASIDE = 'sormet.set-aside.';

/** What was set aside of a site, the oldest first. */
export function setAsideOf(site: string): SetAside[] {
  return Object.keys(localStorage)
    .filter((key) => key.startsWith(`${ASIDE}${site}.`))
    .sort()
    .map((key) => ({ key, text: localStorage.getItem(key) ?? '' }));
}

/** Lets go of what was set aside: the one way in which it is ever thrown away. */
export function dropSetAside(key: string): void {
  localStorage.removeItem(key);
}

/** Keeps a text beside the outboxes. @returns whether there was room for it */
function setAside(site: string, text: string): boolean {
  const key = `${ASIDE}${site}.${Date.now().toString(36)}.${crypto.randomUUID().slice(0, 8)}`;
  try {
    localStorage.setItem(key, text);
    return true;
  } catch {
    // The browser's storage is full: it stays where it was found.
    return false;
  }
}

/** What is stored under a key: entries that can be read, and the texts of those that cannot. */
function storedOutbox(key: string): Outbox & { readonly unread: readonly string[] } {
  const text = localStorage.getItem(key) ?? '';
  let stored: unknown;
  try {
    stored = JSON.parse(text);
  } catch {
    // No JSON: another program wrote here, or the browser lost half of it.
    return { pending: [], conflicts: [], unread: [text] };
  }
  const { pending, conflicts } = (stored ?? {}) as Record<string, unknown>;
  if (!Array.isArray(pending) || !Array.isArray(conflicts))
    return { pending: [], conflicts: [], unread: [text] };
  const unread: string[] = [];
  const those = <T>(list: unknown[], read: (value: unknown) => T | undefined): T[] =>
    list.flatMap((each) => {
      const found = read(each);
      if (found === undefined) unread.push(JSON.stringify(each));
      return found ?? [];
    });
  return {
    pending: those(pending as unknown[], waitingIn),
    conflicts: those(conflicts as unknown[], undecidedIn),
    unread,
  };
}

/**
 * Takes the outboxes of windows that are gone, and this window's own from before a reload. What is taken
 * stands in this window's own outbox until everything in it is settled; nothing is taken from where it lies before it
 * stands somewhere else. What cannot be read is set aside.
 * @returns whether all of it is kept, too: not where the browser's storage is full
 */
export async function takeOutboxes(
  site: string,
  window: string,
): Promise<Outbox & { readonly kept: boolean }> {
  const held = new Set((await navigator.locks.query()).held?.map(({ name }) => name) ?? []);
  const pending: PendingEdit[] = [];
  const conflicts: Conflict[] = [];
  const taken: string[] = [];
  const prefix = keyOf(site, '');
  let kept = true;
  for (const key of Object.keys(localStorage).sort()) {
    if (!key.startsWith(prefix)) continue;
    const owner = key.slice(prefix.length);
    if (owner !== window && held.has(lockName(owner))) continue;
    const stored = storedOutbox(key);
    if (!stored.unread.every((text) => setAside(site, text))) {
      // It is done all the same, under the ids it has: who finds it again sends it again, and gets the first answer.
      kept = false;
      untouched.add(key);
      pending.push(...stored.pending);
      conflicts.push(...stored.conflicts);
      continue;
    }
    pending.push(...stored.pending);
    conflicts.push(...stored.conflicts);
    if (owner !== window) taken.push(key);
  }
  if (!keepOutbox(site, window, { pending, conflicts })) return { pending, conflicts, kept: false };
  for (const key of taken) localStorage.removeItem(key);
  return { pending, conflicts, kept };
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
