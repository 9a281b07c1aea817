import { STATUS_CODES } from 'node:http';
import { isSaid, say } from '@sormet/core/said';
import { brackenfold } from '@sormet/demo';
import { applyChanges, runEdit, type Change, type NamedEdit } from '@sormet/core/edit';
import { plant } from '@sormet/core/ready';
import { canonicalJson, newId, placeAt, text, Documents, type PageDoc } from '@sormet/core/model';
import { usesOf } from '@sormet/core/reach';
import { DocumentEntity, HistoryEntity, UseEntity } from '../database/entities';
import { SiteStore } from '../database/site-store';
import { seeing, startTestServer, type TestServer } from '../test/test-server';

let server: TestServer;
beforeEach(async () => {
  server = await startTestServer();
});
afterEach(() => server.stop());

const setTitle = (title: string): NamedEdit => ({
  name: 'setPage',
  args: { page: 'page-about', set: { title: text(title) } },
});
const titleOf = (documents: Documents) => (documents.get('page-about') as PageDoc).title;

function placing(documents: Documents, words: string): NamedEdit {
  const home = documents.get('page-home') as PageDoc;
  const { root, nodes } = plant(
    { tag: 'p', text: words },
    placeAt(home.nodes, 'page-home-body', 1, 'main'),
    newId,
  );
  return { name: 'place', args: { doc: 'page-home', root, nodes } };
}

describe('an edit that is sent', () => {
  test('is stored with its history, its uses and the next revision', async () => {
    const answer = await server.send(setTitle('Who we are')).expect(200);
    expect(answer.body).toEqual({ revision: 2 });
    expect(titleOf(await server.documents())).toEqual(text('Who we are'));
    const history = await server.database
      .getRepository(HistoryEntity)
      .findOneByOrFail({ revision: 2 });
    expect(history).toMatchObject({
      said: say('set-of-page', { what: 'title', page: '/about' }),
      who: 'a window',
      name: 'setPage',
    });
    const stored = await server.database
      .getRepository(DocumentEntity)
      .findOneByOrFail({ id: 'page-about' });
    expect(stored.version).toBe(2);
  });

  test('a second time gets the first answer and is done once', async () => {
    await server.send(setTitle('Once'), undefined, 'the-same-edit').expect(200, { revision: 2 });
    await server.send(setTitle('Once'), undefined, 'the-same-edit').expect(200, { revision: 2 });
    expect(await server.database.getRepository(HistoryEntity).count()).toBe(1);
  });

  test('keeps the table of uses equal to what the documents use', async () => {
    const before = await server.documents();
    const edit: NamedEdit = {
      name: 'makeComponent',
      args: {
        doc: 'page-about',
        node: aboutSection(before),
        name: 'Sections/How',
        component: 'how',
        instance: 'how-1',
        ids: [],
      },
    };
    await server.send(edit, before).expect(200);
    const rows = await server.database.getRepository(UseEntity).find();
    const expected = new Set(
      [...(await server.documents())].flatMap((doc) =>
        usesOf(doc).map(({ from, node, kind, to }) => [from, node, kind, to].join(' ')),
      ),
    );
    expect(
      new Set(rows.map(({ from, node, kind, to }) => [from, node, kind, to].join(' '))),
    ).toEqual(expected);
  });

  test('is undone by its inverse, to the same documents', async () => {
    const before = await server.documents();
    const changes = runEdit(before, setTitle('Away')) as Change[];
    const seen = seeing(before, setTitle('Away'));
    await server.send(setTitle('Away'), before, 'edit-away').expect(200);
    const past = () => ({ changes, said: say('tidied') });
    await server
      .send({ name: 'revert', args: { edits: ['edit-away'] } }, seen, undefined, past)
      .expect(200);
    const last = await server.database
      .getRepository(HistoryEntity)
      .findOneByOrFail({ revision: 3 });
    expect(last.said).toEqual(
      say('did-take-back', { what: say('set-of-page', { what: 'title', page: '/about' }) }),
    );
    expect(canonicalJson(await server.documents())).toBe(canonicalJson(before));
  });
});

function aboutSection(documents: Documents): string {
  const { nodes } = documents.get('page-about') as PageDoc;
  return Object.keys(nodes).find((id) => nodes[id]!.name === 'How it works')!;
}

describe('two windows', () => {
  test('that add at the same place both keep what they added', async () => {
    const seen = await server.documents();
    await server.send(placing(seen, 'first'), seen).expect(200);
    await server.send(placing(seen, 'second'), seen).expect(200);
    const texts = JSON.stringify((await server.documents()).get('page-home'));
    expect(texts).toContain('"first"');
    expect(texts).toContain('"second"');
  });

  test('that set two first values on one instance both keep them', async () => {
    const seen = await server.documents();
    const set = (property: string): NamedEdit => ({
      name: 'setControl',
      args: {
        doc: 'page-home',
        node: joinBand(seen),
        control: { of: 'value', property },
        source: text(property),
      },
    });
    await server.send(set('join-heading'), seen).expect(200);
    await server.send(set('join-text'), seen).expect(200);
    expect((await server.documents()).get('page-home')).toMatchObject({
      nodes: {
        [joinBand(seen)]: {
          values: { 'join-heading': text('join-heading'), 'join-text': text('join-text') },
        },
      },
    });
  });

  test('that set the same value: the second is told both sides, and nothing is stored', async () => {
    const seen = await server.documents();
    await server.send(setTitle('Theirs'), seen).expect(200);
    const answer = await server
      .send(setTitle('Mine'), seen)
      .expect(409)
      .expect('content-type', /application\/problem\+json/);
    expect(answer.body).toMatchObject({
      status: 409,
      doc: 'page-about',
      pointer: '/title',
      yours: text('Mine'),
      stands: text('Theirs'),
    });
    expect(titleOf(await server.documents())).toEqual(text('Theirs'));
    expect(await server.database.getRepository(HistoryEntity).count()).toBe(1);
  });

  test('that remove and change the same thing: the second is told', async () => {
    const seen = await server.documents();
    const node = joinBand(seen);
    await server
      .send({ name: 'remove', args: { doc: 'page-home', nodes: [node] } }, seen)
      .expect(200);
    await server
      .send(
        {
          name: 'setControl',
          args: {
            doc: 'page-home',
            node,
            control: { of: 'value', property: 'join-text' },
            source: text('x'),
          },
        },
        seen,
      )
      .expect(409);
  });

  test('that move things into each other: the second is refused', async () => {
    const before = await server.documents();
    const { root, nodes } = plant(
      { id: 'box-a', tag: 'div' },
      placeAt((before.get('page-home') as PageDoc).nodes, 'page-home-body', 0, 'main'),
      newId,
    );
    const placed: NamedEdit = { name: 'place', args: { doc: 'page-home', root, nodes } };
    await server.send(placed, before).expect(200);
    let seen = seeing(before, placed);
    const second: NamedEdit = {
      name: 'place',
      args: {
        doc: 'page-home',
        root: 'box-b',
        nodes: {
          'box-b': {
            ...nodes['box-a']!,
            place: placeAt((seen.get('page-home') as PageDoc).nodes, 'page-home-body', 0, 'main'),
          },
        },
      },
    };
    await server.send(second, seen).expect(200);
    seen = seeing(seen, second);
    const into = (node: string, parent: string): NamedEdit => ({
      name: 'move',
      args: { doc: 'page-home', moves: [{ node, place: { parent, order: 'a0' } }] },
    });
    await server.send(into('box-a', 'box-b'), seen).expect(200);
    const answer = await server.send(into('box-b', 'box-a'), seen).expect(422);
    expect(answer.body).toMatchObject({ said: say('inside-itself') });
  });

  test('at the very same moment get revisions without a gap, and all is kept', async () => {
    const seen = await server.documents();
    const answers = await Promise.all(
      Array.from({ length: 12 }, (_, i) => server.send(placing(seen, `at once ${i}`), seen)),
    );
    expect(answers.map(({ status }) => status)).toEqual(Array(12).fill(200));
    const revisions = answers
      .map(({ body }) => (body as { revision: number }).revision)
      .sort((a, b) => a - b);
    expect(revisions).toEqual(Array.from({ length: 12 }, (_, i) => i + 2));
    const home = JSON.stringify((await server.documents()).get('page-home'));
    for (let i = 0; i < 12; i += 1) expect(home).toContain(`at once ${i}`);
  });
});

function joinBand(documents: Documents): string {
  const { nodes } = documents.get('page-home') as PageDoc;
  return Object.keys(nodes).find((id) => {
    const node = nodes[id]!;
    return node.kind === 'instance' && node.component === 'join-band';
  })!;
}

describe('what is no sound edit gets problem details and changes nothing', () => {
  const send = (body: object) => server.api.post('/api/sites/brackenfold/edits').send(body);
  const whole = {
    id: 'an-edit-id',
    who: 'w',
    name: 'nameNode',
    args: { doc: 'page-home', node: 'page-home-n1', name: 'x' },
    changes: [],
  };

  test.each<[string, object, number, string]>([
    ['no body', {}, 400, ''],
    ['an unknown edit', { ...whole, name: 'destroy' }, 400, '/name'],
    ['an edit named like an inherited member', { ...whole, name: 'constructor' }, 400, '/name'],
    ['arguments that do not fit', { ...whole, args: { doc: 'page-home' } }, 400, ''],
    ['an argument too many', { ...whole, args: { ...whole.args, more: 1 } }, 400, ''],
    ['an id that is none', { ...whole, id: '../x' }, 400, '/id'],
    [
      'changes other than the edit makes',
      { ...whole, changes: [{ doc: 'page-home', path: '/name', was: 'Home', now: 'Hacked' }] },
      409,
      '/nodes/page-home-n1/name',
    ],
    [
      'a guard that does not hold',
      { ...whole, changes: [{ doc: 'page-home', path: '/name', was: 'Elsewhere', now: 'x' }] },
      409,
      '/name',
    ],
  ])('%s', async (_, body, status, pointer) => {
    const before = canonicalJson(await server.documents());
    const answer = await send(body)
      .expect(status)
      .expect('content-type', /problem\+json/);
    expect(answer.body).toMatchObject({ status, title: STATUS_CODES[status] });
    expect(isSaid((answer.body as { said: unknown }).said)).toBe(true);
    expect((answer.body as { pointer: string }).pointer).toContain(pointer);
    expect(canonicalJson(await server.documents())).toBe(before);
  });

  test('a patch of its own making: taking back names edits, and nothing else', async () => {
    const changes: Change[] = [{ doc: 'page-home', path: '/name', was: 'Home', now: 7 }];
    await send({ ...whole, name: 'revert', args: { changes, says: 'x' }, changes }).expect(400);
    await send({
      ...whole,
      name: 'revert',
      args: { edits: ['not-an-edit-1'] },
      changes: [],
    }).expect(422);
  });

  test.each([
    ['a second site document', (seen: Documents) => ({ ...seen.site, id: 'other' })],
    ['a page that is none', () => ({ id: 'other', kind: 'page' })],
  ])('%s, as a page', async (_, made) => {
    const page = made(await server.documents());
    const changes = [{ doc: 'other', path: '', now: page }];
    const answer = await send({ ...whole, name: 'addPage', args: { page }, changes });
    expect(answer.status).toBe(400);
  });

  test('an id that another edit was sent under', async () => {
    await server.send(setTitle('One'), undefined, 'the-same-edit').expect(200);
    const answer = await server.send(setTitle('Two'), undefined, 'the-same-edit').expect(409);
    expect(answer.body).toMatchObject({ said: say('edit-id-taken'), pointer: '/id' });
    expect(titleOf(await server.documents())).toEqual(text('One'));
  });

  test.each(['a\u0000b', 'half \ud83d', '\ude00 half'])(
    'text that cannot be stored: %j',
    async (words) => {
      const edit = { name: 'setPage', args: { page: 'page-about', set: { title: text(words) } } };
      const changes = [
        {
          doc: 'page-about',
          path: '/title',
          was: titleOf(await server.documents()),
          now: text(words),
        },
      ];
      const answer = await send({ ...whole, ...edit, changes }).expect(422);
      expect(answer.body).toMatchObject({ said: say('sent-ill', { why: say('not-storable') }) });
    },
  );

  test('JSON that is none', async () => {
    await server.api
      .post('/api/sites/brackenfold/edits')
      .set('content-type', 'application/json')
      .send('{"id":')
      .expect(400)
      .expect('content-type', /problem\+json/);
  });

  test('an edit of a site that is not there', async () => {
    await server.api.post('/api/sites/nowhere/edits').send(whole).expect(404);
  });
});

describe('the store', () => {
  test('reads the same documents on another server that shares the database', async () => {
    await server.send(setTitle('Shared')).expect(200);
    const other = new SiteStore(server.database);
    const site = (await other.site('brackenfold'))!;
    expect(canonicalJson((await other.state(site)).documents)).toBe(
      canonicalJson(await server.documents()),
    );
  });

  test('brings a state it has up to date by the history', async () => {
    const other = new SiteStore(server.database);
    await other.state((await other.site('brackenfold'))!);
    await server.send(setTitle('Later')).expect(200);
    const state = await other.state((await other.site('brackenfold'))!);
    expect([state.revision, titleOf(state.documents)]).toEqual([2, text('Later')]);
  });

  test('gives the documents as they were at an earlier revision', async () => {
    const before = await server.documents();
    await server.send(setTitle('Later')).expect(200);
    const site = (await server.store.site('brackenfold'))!;
    expect(canonicalJson((await server.store.stateAt(site.id, 1)).documents)).toBe(
      canonicalJson(before),
    );
  });

  test('holds the demo as it is written', async () => {
    expect(canonicalJson(await server.documents())).toBe(canonicalJson(brackenfold().documents));
    expect(applyChanges(Documents.none, [])).toBe(Documents.none);
  });
});

describe('the history', () => {
  test('is answered by bytes: what is too much for one answer is said to go on', async () => {
    const long = 'x'.repeat(19_000);
    for (let i = 0; i < 70; i += 1)
      await server.send(setTitle(`${long} ${i}`), await server.documents()).expect(200);
    const asked = await server.api.get('/api/sites/brackenfold/history?after=1').expect(200);
    const { edits, more } = asked.body as { edits: { revision: number }[]; more: boolean };
    expect(more).toBe(true);
    expect(JSON.stringify(asked.body).length).toBeLessThan(2.5 * 1024 * 1024);
    expect(edits.map(({ revision }) => revision)).toEqual(edits.map((_, i) => i + 2));
    const rest = await server.api
      .get(`/api/sites/brackenfold/history?after=${edits.at(-1)!.revision}`)
      .expect(200);
    expect((rest.body as { more: boolean }).more).toBe(false);
  }, 60_000);

  test('shows one line for one stretch of typing', async () => {
    let seen = await server.documents();
    for (const [i, stretch] of ['one', 'one', 'two', 'one'].entries()) {
      const edit = setTitle(`Title ${i}`);
      const changes = runEdit(seen, edit) as Change[];
      await server.api
        .post('/api/sites/brackenfold/edits')
        .send({ id: newId(), who: 'w', name: edit.name, args: edit.args, changes, stretch })
        .expect(200);
      seen = applyChanges(seen, changes);
    }
    const { body } = await server.api.get('/api/sites/brackenfold/history/lines').expect(200);
    expect(
      (body as { lines: { first: number; last: number }[] }).lines.map(({ first, last }) => [
        first,
        last,
      ]),
    ).toEqual([
      [5, 5],
      [4, 4],
      [2, 3],
    ]);
  });
});

describe('bringing back', () => {
  test('takes only what was so: a page that never was is refused', async () => {
    const documents = await server.documents();
    const page = documents.get('page-about') as PageDoc;
    const never = { ...page, id: 'page-never', path: '/never' };
    for (const was of [never, { ...page, name: 'Never called so' }]) {
      const { body } = await server
        .send({ name: 'bringBack', args: { was, revision: 1 } }, documents)
        .expect(422);
      expect(body).toMatchObject({ said: say('was-not-so', { revision: 1 }) });
    }
  });
});
