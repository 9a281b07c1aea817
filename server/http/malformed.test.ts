import { randomBytes } from 'node:crypto';
import { connect } from 'node:net';
import type { AddressInfo } from 'node:net';
import { startTestServer, type TestServer } from '../test/test-server';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.stop());

const SITE = '/api/sites/brackenfold';
const PATHS = [
  '/api/sites',
  SITE,
  `${SITE}/edits`,
  `${SITE}/history`,
  `${SITE}/history/lines`,
  `${SITE}/changed`,
  `${SITE}/revisions/1/documents/page-home`,
  `${SITE}/plan`,
  `${SITE}/releases`,
  `${SITE}/releases/none`,
  `${SITE}/releases/none/live`,
  `${SITE}/files`,
  '/files/0000000000000000.png',
];
const ODD = [
  '%00',
  '%ed%a0%80',
  '%ff',
  '..%2f..%2fetc',
  'constructor',
  '__proto__',
  "'%20or%201=1--",
  '%',
  'a'.repeat(3000),
  '𝒳',
  ' ',
];
const BODIES: unknown[] = [
  null,
  [],
  {},
  7,
  '',
  'text',
  { id: 'edit-number-1' },
  { id: 'edit-number-1', who: '\u0000', name: 'place', args: {}, changes: [] },
  { id: 'edit-number-1', who: 'w', name: 'constructor', args: {}, changes: [] },
  { id: 'edit-number-1', who: 'w', name: '__proto__', args: {}, changes: [] },
  { id: 'edit-number-1', who: 'w', name: 'revert', args: { edits: ['constructor'] }, changes: [] },
  { id: 'edit-number-1', who: 'w', name: 'revert', args: { edits: [] }, changes: [] },
  {
    id: 'edit-number-1',
    who: 'w',
    name: 'tidy',
    args: {},
    changes: [{ doc: 'constructor', path: '/a/b', now: 1 }],
  },
  {
    id: 'edit-number-1',
    who: 'w',
    name: 'tidy',
    args: {},
    changes: [{ doc: 'page-home', path: 'no pointer' }],
  },
  {
    id: 'edit-number-1',
    who: 'w',
    name: 'tidy',
    args: {},
    changes: [{ doc: 'page-home', path: '/~2' }],
  },
  {
    id: 'edit-number-1',
    who: 'w',
    name: 'tidy',
    args: {},
    changes: [{ doc: 'page-home', path: '/__proto__/x', now: 1 }],
  },
  {
    id: 'edit-number-1',
    who: 'w',
    name: 'remove',
    args: { doc: 'page-home', node: 'constructor' },
    changes: [],
  },
  { id: 'edit-number-1', who: 'w', name: 'removePage', args: { page: 'constructor' }, changes: [] },
  {
    id: 'edit-number-1',
    who: 'w',
    name: 'setField',
    args: { entry: 'page-home', field: 'constructor', value: null },
    changes: [],
  },
  {
    id: 'edit-number-1',
    who: 'w',
    name: 'mend',
    args: { doc: '__proto__', path: '/x' },
    changes: [],
  },
  {
    id: 'edit-number-1',
    who: 'w',
    name: 'setPage',
    args: { page: 'page-home', set: { name: '\ud800' } },
    changes: [],
  },
  {
    id: 'edit-number-1',
    who: 'w',
    name: 'setPage',
    args: { page: 'page-home', set: {} },
    changes: [],
  },
  {
    id: 'edit-number-1',
    who: 'w',
    name: 'place',
    args: { doc: 'page-home', root: 'x', nodes: {} },
    changes: [],
  },
  { id: 'x', who: 'w', name: 'place', args: deep(2000), changes: [] },
];

function deep(levels: number): unknown {
  let value: unknown = {};
  for (let i = 0; i < levels; i += 1) value = { a: value };
  return value;
}

/** An address as it goes over the wire: what is ASCII as it is, wrong escapes too, the rest encoded. */
function asSent(path: string): string {
  return path.replace(/[^!-~]+/g, encodeURIComponent);
}

/** Whatever is wrong with a request, the answer is problem details of the class of what was sent. */
function expectProblem(what: string, status: number, type: string | undefined): void {
  expect([what, status >= 400 && status < 500, type]).toEqual([
    what,
    true,
    expect.stringContaining('application/problem+json') as string,
  ]);
}

test('hundreds of malformed requests are answered with problem details, and none with 5xx', async () => {
  let count = 0;
  const check = async (what: string, request: ReturnType<TestServer['api']['get']>) => {
    count += 1;
    const answer = await request;
    expectProblem(what, answer.status, answer.headers['content-type']);
  };
  for (const [i, body] of BODIES.entries())
    for (const content of ['application/json', 'text/plain'])
      await check(
        `body ${i} as ${content}`,
        server.api.post(`${SITE}/edits`).set('content-type', content).send(JSON.stringify(body)),
      );
  for (const raw of ['{', '{"a":}', '\u0000', '{"a":1}x', '"\\ud800"', '[1e999]', 'nul'])
    for (const path of [`${SITE}/edits`])
      await check(
        `raw ${JSON.stringify(raw)}`,
        server.api.post(path).set('content-type', 'application/json').send(raw),
      );
  for (const odd of ODD)
    for (const path of [
      `/api/sites/${odd}`,
      `/api/sites/${odd}/plan`,
      `/api/sites/${odd}/history`,
      `/api/sites/${odd}/live`,
      `${SITE}/releases/${odd}`,
      `${SITE}/revisions/${odd}/documents/page-home`,
      `${SITE}/revisions/1/documents/${odd}`,
      `/files/${odd}`,
      `/api/${odd}`,
    ]) {
      if (odd === ' ' && path.endsWith(' ')) continue;
      await check(path, server.api.get(asSent(path)));
    }
  for (const odd of ['%00', '..%2fx', 'A%20B'])
    await check(odd, server.api.get(`${SITE}/history/lines?document=${odd}`));
  for (const odd of ['-1', '1.5', 'x', '1e99', '99999999999', '%00', ''])
    if (odd !== '')
      for (const path of [`${SITE}/history?after=${odd}`, `${SITE}/history/lines?before=${odd}`])
        await check(path, server.api.get(path));
  for (const method of ['put', 'patch', 'delete'] as const)
    for (const path of PATHS) await check(`${method} ${path}`, server.api[method](path));
  for (const encoding of ['gzip', 'br', 'nonsense'])
    await check(
      `content-encoding ${encoding}`,
      server.api
        .post(`${SITE}/edits`)
        .set('content-type', 'application/json')
        .set('content-encoding', encoding)
        .send('not compressed'),
    );
  for (const charset of ['utf-7', 'latin1', 'nonsense'])
    await check(
      `charset ${charset}`,
      server.api
        .post(`${SITE}/edits`)
        .set('content-type', `application/json; charset=${charset}`)
        .send('{}'),
    );
  for (let i = 0; i < 120; i += 1) {
    const bytes = randomBytes(1 + ((i * 37) % 300));
    await check(
      `upload of ${bytes.toString('hex')}`,
      i % 2 === 0
        ? server.api.post(`${SITE}/files`).attach('file', bytes, `${i}.png`)
        : server.api
            .post(`${SITE}/files`)
            .set('content-type', 'multipart/form-data; boundary=b')
            .send(Buffer.concat([Buffer.from('--b\r\n'), bytes])),
    );
  }
  await check(
    'a body of 9 MB',
    server.api
      .post(`${SITE}/edits`)
      .set('content-type', 'application/json')
      .send(`"${'a'.repeat(9 * 1024 * 1024)}"`),
  );
  expect(count).toBeGreaterThan(250);
  await server.api.get('/api/health').expect(200);
}, 120_000);

test('what is no HTTP gets an answer too', async () => {
  const { port } = server.app.address() as AddressInfo;
  const answer = await new Promise<string>((done, failed) => {
    const socket = connect(port, '127.0.0.1', () => socket.write('NONSENSE\r\n\r\n'));
    let all = '';
    socket.on('data', (chunk) => (all += chunk.toString()));
    socket.on('close', () => done(all));
    socket.on('error', failed);
  });
  expect(answer).toMatch(/^HTTP\/1\.1 400/);
});
