import { text } from '@sormet/core/model';
import { keepOutbox, takeOutboxes } from './outbox';
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

const pending = (id: string): PendingEdit => ({
  id,
  edit: { name: 'setPage', args: { page: 'home', set: { title: text(id) } } },
  changes: [{ doc: 'home', path: '/title', now: text(id) }],
  group: null,
  stretch: null,
  sent: true,
});
const ids = (list: readonly PendingEdit[]) => list.map(({ id }) => id);

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

  test('leaves alone what it cannot read, and opens all the same', async () => {
    const kept = pretendBrowser([]);
    kept.set('sormet.outbox.site.w1', '{"pending":[');
    kept.set('sormet.outbox.site.w2', 'null');
    expect(await takeOutboxes('site', 'w3')).toEqual({ pending: [], conflicts: [] });
    expect(kept.size).toBe(2);
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
