import { documentsOf, page } from '@sormet/core/test';
import { makeStore } from '../store/store';
import { SiteSync } from './sync';

/** What a test answers to the addresses that are asked for, and those that were. */
class PretendServer {
  readonly asked: string[] = [];
  private readonly waiting: (() => void)[] = [];
  /** How far the history goes; each answer is made when it is asked for, and given when it is let go. */
  revision = 1;

  fetch = async (address: string): Promise<Response> => {
    const path = address.replace('/api/sites/small', '');
    this.asked.push(path);
    if (path === '')
      return json({
        site: null,
        revision: 1,
        documents: documentsOf(page('home', '/', { tag: 'main' })),
      });
    const after = /^\/history\?after=(\d+)$/.exec(path)?.[1];
    if (after === undefined) return json({ pages: [] });
    const edits = Array.from({ length: this.revision - Number(after) }, (_, i) => ({
      revision: Number(after) + i + 1,
      edit: `edit-${Number(after) + i + 1}`,
      changes: [],
    }));
    await new Promise<void>((go) => this.waiting.push(go));
    return json({ revision: this.revision, edits, more: false });
  };

  letGo(): void {
    this.waiting.shift()?.();
  }
}

const json = (value: unknown) =>
  new Response(JSON.stringify(value), { headers: { 'content-type': 'application/json' } });

const settled = () => new Promise((done) => setTimeout(done, 20));

test('a revision that is announced while another is being fetched is fetched too', async () => {
  const server = new PretendServer();
  let announce: (event: { data: string }) => void = () => undefined;
  const storage = { getItem: () => null, setItem: () => undefined, removeItem: () => undefined };
  const locks = {
    query: () => Promise.resolve({ held: [] }),
    request: (_: string, __: unknown, held: () => Promise<never>) => {
      void held();
      return new Promise(() => undefined);
    },
  };
  class Source {
    addEventListener(name: string, listener: typeof announce) {
      if (name === 'revision') announce = listener;
    }
    close() {}
  }
  for (const [name, value] of Object.entries({
    fetch: server.fetch,
    EventSource: Source,
    localStorage: storage,
    sessionStorage: storage,
    navigator: { locks },
    window: new EventTarget(),
  }))
    Object.defineProperty(globalThis, name, { value, configurable: true });

  const store = makeStore();
  const sync = new SiteSync(store, 'small');
  await sync.open();
  expect(store.getState().site).toMatchObject({ status: 'ready', revision: 1 });
  server.revision = 2;
  announce({ data: '{"revision":2}' });
  await settled();
  // The answer to the first is made and on its way when the next is announced.
  server.revision = 3;
  announce({ data: '{"revision":3}' });
  await settled();
  server.letGo();
  await settled();
  server.letGo();
  await settled();
  sync.close();
  expect(server.asked.filter((path) => path.startsWith('/history'))).toEqual([
    '/history?after=1',
    '/history?after=2',
  ]);
  expect(store.getState().site.revision).toBe(3);
});
