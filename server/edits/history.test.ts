import type { HistoryLine } from '@sormet/core/api';
import { runEdit, type Change, type NamedEdit } from '@sormet/core/edit';
import {
  documentFindings,
  newId,
  sameJson,
  text,
  type Doc,
  type PageDoc,
} from '@sormet/core/model';
import { say } from '@sormet/core/said';
import { startTestServer, type TestServer } from '../test/test-server';

let server: TestServer;
beforeEach(async () => {
  server = await startTestServer();
});
afterEach(() => server.stop());

const title = (page: string, words: string): NamedEdit => ({
  name: 'setPage',
  args: { page, set: { title: text(words) } },
});

async function send(edit: NamedEdit): Promise<void> {
  await server.send(edit, await server.documents()).expect(200);
}

async function linesOf(document: string): Promise<HistoryLine[]> {
  const asked = await server.api
    .get(`/api/sites/brackenfold/history/lines?document=${document}`)
    .expect(200);
  return (asked.body as { lines: HistoryLine[] }).lines;
}

async function then(document: string, revision: number): Promise<Doc | null> {
  const asked = await server.api.get(
    `/api/sites/brackenfold/revisions/${revision}/documents/${document}`,
  );
  if (asked.status === 404) return null;
  expect(asked.status).toBe(200);
  return (asked.body as { document: Doc }).document;
}

describe('the history of one document', () => {
  test('says what was done to it, and nothing that was done elsewhere', async () => {
    await send(title('page-about', 'One'));
    await send(title('page-home', 'Elsewhere'));
    await send(title('page-about', 'Two'));
    expect((await linesOf('page-about')).map(({ last }) => last)).toEqual([4, 2]);
    expect((await linesOf('page-home')).map(({ last }) => last)).toEqual([3]);
    expect(await linesOf('page-guides')).toEqual([]);
  });

  test('gives it as it was after each revision, as the whole site read then has it', async () => {
    const home = (await server.documents()).get('page-home') as PageDoc;
    const copy: PageDoc = { ...home, id: 'page-copy', path: '/copy', former: {} };
    await send({ name: 'addPage', args: { page: copy } });
    await send(title('page-copy', 'One'));
    await send(title('page-home', 'Home then'));
    await send(title('page-copy', 'Two'));
    await send({ name: 'removePage', args: { page: 'page-copy' } });
    for (const document of ['page-copy', 'page-home'])
      for (let revision = 1; revision <= 6; revision += 1) {
        const { documents } = await server.store.stateAt('brackenfold', revision);
        const was = documents.get(document) ?? null;
        expect([document, revision, sameJson(await then(document, revision), was)]).toEqual([
          document,
          revision,
          true,
        ]);
      }
  });

  test('goes back further than is read at once', async () => {
    let seen = await server.documents();
    for (let i = 0; i < 60; i += 1) {
      const edit = title('page-about', `Title ${i}`);
      const changes = runEdit(seen, edit) as Change[];
      await server.api
        .post('/api/sites/brackenfold/edits')
        .send({ id: newId(), who: 'w', name: edit.name, args: edit.args, changes })
        .expect(200);
      seen = (await server.store.state((await server.store.site('brackenfold'))!)).documents;
    }
    expect(await then('page-about', 3)).toMatchObject({ title: text('Title 1') });
  });

  test('brings it back as a new edit, one that was removed too', async () => {
    await send(title('page-about', 'Wrong'));
    const was = (await then('page-about', 1)) as PageDoc;
    await send({ name: 'bringBack', args: { was, revision: 1 } });
    expect(sameJson(await then('page-about', 3), was)).toBe(true);
    expect((await linesOf('page-about'))[0]).toMatchObject({
      last: 3,
      said: say('brought-back', { what: '/about', revision: 1 }),
    });
    await send({ name: 'removePage', args: { page: 'page-about' } });
    expect(await then('page-about', 4)).toBeNull();
    await send({ name: 'bringBack', args: { was, revision: 1 } });
    expect(sameJson(await then('page-about', 5), was)).toBe(true);
  });

  test('reads what an older program wrote as what it means now', async () => {
    const now = (await server.documents()).get('page-guides') as PageDoc;
    await send(title('page-guides', 'Other'));
    // As format 1 had it: the conditions and the order of a query as lists, its content type by itself.
    const nodes = Object.fromEntries(
      Object.entries(now.nodes).map(([id, node]) => [
        id,
        node.kind === 'repeat'
          ? {
              ...node,
              query: {
                type: 'guide',
                where: [],
                order: [{ field: 'guide-minutes', descending: false }],
              },
            }
          : node,
      ]),
    );
    await server.database.query('UPDATE documents SET body = body || $1 WHERE id = $2', [
      JSON.stringify({ format: 1, nodes }),
      'page-guides',
    ]);
    const was = (await then('page-guides', 1)) as PageDoc;
    expect(was.format).toBe(now.format);
    expect(was.title).toEqual(now.title);
    expect(documentFindings(was)).toEqual([]);
    const repeat = Object.values(was.nodes).find(({ kind }) => kind === 'repeat');
    expect(repeat?.kind === 'repeat' && repeat.query.from).toEqual({ type: 'guide' });
  });

  test('of what is no document’s id is not there', async () => {
    const site = '/api/sites/brackenfold';
    await server.api.get(`${site}/revisions/1/documents/..%2Fx`).expect(404);
    await server.api.get(`${site}/history/lines?document=a%00b`).expect(404);
    expect(await then('nobody', 1)).toBeNull();
  });
});

test('each page and component says when it was changed last', async () => {
  await send(title('page-about', 'Later'));
  const { body } = await server.api.get('/api/sites/brackenfold/changed').expect(200);
  const { changed } = body as { changed: Record<string, { revision: number; at: string | null }> };
  expect(changed['page-about']).toEqual({ revision: 2, at: expect.any(String) as string });
  expect(changed['join-band']).toEqual({ revision: 1, at: null });
  expect(changed['tokens']).toBeUndefined();
});
