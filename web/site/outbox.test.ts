import { text } from '@sormet/core/model';
import { say } from '@sormet/core/said';
import { dropSetAside, keepOutbox, setAsideOf, takeOutboxes } from './outbox';
import type { PendingEdit } from '../store/pending';

/** As much of a browser's storage and locks as an outbox needs. */
function pretendBrowser(held: string[]): Map<string, string> {
  const kept = new Map<string, string>();
  const storage = {
    getItem: (key: string) => kept.get(key) ?? null,
    setItem: (key: string, value: string) => kept.set(key, value),
    removeItem: (key: string) => kept.delete(key),
  };
  const listed = new Proxy(storage, {
    ownKeys: () => [...kept.keys()],
    getOwnPropertyDescriptor: () => ({ enumerable: true, configurable: true }),
  });
  const locks = { query: () => Promise.resolve({ held: held.map((name) => ({ name })) }) };
  Object.defineProperty(globalThis, 'localStorage', { value: listed, configurable: true });
  Object.defineProperty(globalThis, 'navigator', { value: { locks }, configurable: true });
  return kept;
}

/** From now on the browser has room for nothing more. */
function fillUp(): void {
  const { localStorage } = globalThis as unknown as { localStorage: Storage };
  const full = new Proxy(localStorage, {
    get: (target, name) =>
      name === 'setItem'
        ? () => {
            throw new DOMException('full', 'QuotaExceededError');
          }
        : (Reflect.get(target, name) as unknown),
  });
  Object.defineProperty(globalThis, 'localStorage', { value: full, configurable: true });
}

const pending = (id: string): PendingEdit => ({
  id: `edit-number-${id}`,
  edit: { name: 'setPage', args: { page: 'home', set: { title: text(id) } } },
  changes: [{ doc: 'home', path: '/title', now: text(id) }],
  group: null,
  stretch: null,
  sent: true,
});
const ids = (list: readonly PendingEdit[]) => list.map(({ id }) => id.replace('edit-number-', ''));

describe('the outbox', () => {
  test('keeps what the server does not have, and is gone when it has everything', () => {
    const kept = pretendBrowser([]);
    keepOutbox('site', 'w1', { pending: [pending('a')], conflicts: [] });
    expect([...kept.keys()]).toEqual(['sormet.outbox.site.w1']);
    keepOutbox('site', 'w1', { pending: [], conflicts: [] });
    expect(kept.size).toBe(0);
  });

  test('gives a window its own work back after a reload', async () => {
    pretendBrowser(['sormet.window.w1']);
    keepOutbox('site', 'w1', { pending: [pending('a')], conflicts: [] });
    expect(ids((await takeOutboxes('site', 'w1')).pending)).toEqual(['a']);
  });

  test('knows after a reload, too, what was made at work as an editor', async () => {
    pretendBrowser(['sormet.window.w1']);
    const made = { ...pending('a'), editing: true as const };
    keepOutbox('site', 'w1', { pending: [made], conflicts: [] });
    expect((await takeOutboxes('site', 'w1')).pending).toEqual([made]);
    expect(setAsideOf('site')).toEqual([]);
  });

  test('takes over what windows that are gone left, and leaves alone what others still hold', async () => {
    const kept = pretendBrowser(['sormet.window.w1', 'sormet.window.busy']);
    keepOutbox('site', 'gone', { pending: [pending('a')], conflicts: [] });
    keepOutbox('site', 'busy', { pending: [pending('b')], conflicts: [] });
    keepOutbox('other', 'gone', { pending: [pending('c')], conflicts: [] });
    expect(ids((await takeOutboxes('site', 'w1')).pending)).toEqual(['a']);
    expect([...kept.keys()].sort()).toEqual([
      'sormet.outbox.other.gone',
      'sormet.outbox.site.busy',
      'sormet.outbox.site.w1',
    ]);
  });

  test('sets aside what it cannot read, entry by entry, shows it, and opens all the same', async () => {
    const kept = pretendBrowser([]);
    const strange = [
      { ...pending('b'), edit: { name: 'noSuchEdit', args: {} } },
      { ...pending('c'), changes: 'none' },
      { ...pending('d'), edit: { name: 'setPage', args: { page: 7 } } },
      null,
    ];
    kept.set('sormet.outbox.site.w1', '{"pending":[');
    kept.set('sormet.outbox.site.w2', 'null');
    kept.set(
      'sormet.outbox.site.w3',
      JSON.stringify({ pending: [pending('a'), ...strange], conflicts: [{ id: 5 }] }),
    );
    const taken = await takeOutboxes('site', 'w3');
    expect(ids(taken.pending)).toEqual(['a']);
    expect(taken).toMatchObject({ conflicts: [], kept: true });
    const aside = setAsideOf('site');
    expect(aside.map(({ text: each }) => each).sort()).toEqual(
      ['{"pending":[', 'null', ...strange.map((each) => JSON.stringify(each)), '{"id":5}'].sort(),
    );
    // Nothing of it is found twice, and it goes only when somebody says so.
    await takeOutboxes('site', 'w3');
    expect(setAsideOf('site')).toHaveLength(aside.length);
    dropSetAside(aside[0]!.key);
    expect(setAsideOf('site')).toHaveLength(aside.length - 1);
  });

  test('where the storage is full, takes over what a window left and leaves it where it lies', async () => {
    const kept = pretendBrowser([]);
    keepOutbox('site', 'gone', { pending: [pending('a')], conflicts: [] });
    const before = kept.get('sormet.outbox.site.gone');
    fillUp();
    const taken = await takeOutboxes('site', 'w1');
    expect(ids(taken.pending)).toEqual(['a']);
    expect(taken.kept).toBe(false);
    expect(kept.get('sormet.outbox.site.gone')).toBe(before);
  });

  test('where the storage is full, what cannot be read is not written over', async () => {
    const kept = pretendBrowser([]);
    kept.set('sormet.outbox.site.w9', '{"pending":[{"half');
    fillUp();
    expect((await takeOutboxes('site', 'w9')).kept).toBe(false);
    expect(keepOutbox('site', 'w9', { pending: [], conflicts: [] })).toBe(false);
    expect(kept.get('sormet.outbox.site.w9')).toBe('{"pending":[{"half');
  });

  test('what an earlier version kept in sentences is told as it was, and what is no edit of ours is set aside', async () => {
    const kept = pretendBrowser([]);
    const old = {
      id: 'edit-of-old-1',
      failed: false,
      edit: { name: 'setPage', args: { page: 'page-about', set: { name: 'Who' } } },
      says: 'set the name of /about',
      reason: 'Somebody has changed the same value meanwhile.',
      yours: 'Who',
      stands: 'About',
    };
    const odd = { ...old, id: 'edit-of-old-2', says: 7 };
    kept.set('sormet.outbox.site.gone', JSON.stringify({ pending: [], conflicts: [old, odd] }));
    const { conflicts } = await takeOutboxes('site', 'w1');
    expect(conflicts).toMatchObject([
      {
        id: old.id,
        said: say('as-it-was-told', { words: old.says }),
        reason: say('as-it-was-told', { words: old.reason }),
        stands: 'About',
      },
    ]);
    expect(JSON.stringify(setAsideOf('site'))).toContain(odd.id);
  });

  test('says when the browser keeps nothing', () => {
    pretendBrowser([]);
    const full = {
      setItem: () => {
        throw new DOMException('full', 'QuotaExceededError');
      },
    };
    Object.defineProperty(globalThis, 'localStorage', { value: full, configurable: true });
    expect(keepOutbox('site', 'w1', { pending: [pending('a')], conflicts: [] })).toBe(false);
  });

  test('holds what was taken over until it is settled, so that nothing is lost when sending fails', async () => {
    pretendBrowser([]);
    keepOutbox('site', 'gone', { pending: [pending('a')], conflicts: [] });
    await takeOutboxes('site', 'w1');
    expect(ids((await takeOutboxes('site', 'w1')).pending)).toEqual(['a']);
  });
});
