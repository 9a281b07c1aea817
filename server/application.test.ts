import { get } from 'node:http';
import type { AddressInfo } from 'node:net';
import { say } from '@sormet/core/said';
import { brackenfold } from '@sormet/demo';
import { text } from '@sormet/core/model';
import { FileEntity, SiteEntity, DocumentEntity } from './database/entities';
import { wholeFile } from './files/stored-files';
import { loadDemo, storeSite } from './load-site';
import { listeningWarning, settingsFrom } from './settings';
import { startTestServer, type TestServer } from './test/test-server';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.stop());

const PNG = Buffer.from(
  'iVBORw0KGgoAAAANSUhEUgAAAAIAAAADCAYAAAC56t6BAAAAEklEQVR4nGNgYGD4D8UMcAYADwAC/4yQ0yEAAAAASUVORK5CYII=',
  'base64',
);

describe('the application', () => {
  test('says that it is ready', async () => {
    await server.api.get('/api/health').expect(200, { status: 'ok', sites: 1 });
  });

  test('lists its sites', async () => {
    const { body } = await server.api.get('/api/sites').expect(200);
    expect(body).toMatchObject({
      sites: [
        { id: 'brackenfold', pages: 17, live: null, address: 'http://brackenfold.localhost:5181/' },
      ],
    });
  });

  test('answers what is not there with problem details', async () => {
    for (const path of [
      '/api/nothing',
      '/api/sites/nowhere',
      '/api/sites/brackenfold/releases/none',
      '/files/0123456789abcdef.svg',
      '/files/..%2fetc',
    ])
      await server.api
        .get(path)
        .expect(404)
        .expect('content-type', /problem\+json/);
  });

  test('sends its policies with everything', async () => {
    const { headers } = await server.api.get('/api/health');
    expect(headers['content-security-policy']).toContain("script-src 'self'");
    expect(headers['x-content-type-options']).toBe('nosniff');
    expect(headers['x-powered-by']).toBeUndefined();
  });

  test('gives the canvas a policy under which nothing runs', async () => {
    const { headers } = await server.api.get('/canvas').expect(200);
    for (const part of [
      "script-src 'none'",
      "object-src 'none'",
      "frame-src 'none'",
      "form-action 'none'",
      "base-uri 'none'",
    ])
      expect(headers['content-security-policy']).toContain(part);
  });

  test('takes changes from itself only', async () => {
    await server.api
      .post('/api/sites/brackenfold/releases')
      .set('origin', 'http://brackenfold.localhost:5181')
      .expect(403);
    await server.api
      .post('/api/sites/brackenfold/edits')
      .set('origin', 'null')
      .send({})
      .expect(403);
    await server.api.get('/api/health').set('host', 'rebound.example').expect(403);
  });

  test('tells the history after a revision, and refuses what is none', async () => {
    await server
      .send({ name: 'setPage', args: { page: 'page-about', set: { title: text('One') } } })
      .expect(200);
    const { body } = await server.api.get('/api/sites/brackenfold/history?after=1').expect(200);
    expect(body).toMatchObject({
      revision: 2,
      more: false,
      edits: [{ revision: 2, said: say('set-of-page', { what: 'title', page: '/about' }) }],
    });
    await server.api.get('/api/sites/brackenfold/history?after=-1').expect(400);
    await server.api.get("/api/sites/brackenfold/history?after=1';--").expect(400);
  });
});

describe('live changes', () => {
  test('tell every open window the new revision', async () => {
    const { port } = server.app.address() as AddressInfo;
    const heard = new Promise<string>((answer) => {
      const listening = get(
        { port, path: '/api/sites/brackenfold/live', headers: { host: `127.0.0.1:${port}` } },
        (response) => {
          let all = '';
          response.on('data', (chunk: Buffer) => {
            const first = all === '';
            all += chunk.toString();
            if (first)
              void server
                .send({
                  name: 'setPage',
                  args: { page: 'page-home', set: { title: text('Live') } },
                })
                .then(() => undefined);
            if (all.split('event: revision').length > 2) {
              listening.destroy();
              answer(all);
            }
          });
        },
      );
      listening.on('error', () => undefined);
    });
    expect((await heard).match(/"revision":(\d+)/g)).toHaveLength(2);
  });
});

describe('bringing in a picture', () => {
  const send = (bytes: Buffer, name: string) =>
    server.api.post('/api/sites/brackenfold/files').attach('file', bytes, name);

  test('stores it by its content, with its kind and size told from the bytes', async () => {
    const { body } = await send(PNG, 'lies-about-itself.svg').expect(201);
    expect(body).toMatchObject({ mediaType: 'image/png', width: 2, height: 3 });
    const path = `/files/${(body as { sha256: string }).sha256.slice(0, 16)}.png`;
    const { headers } = await server.api.get(path).expect(200).expect('content-type', 'image/png');
    expect(headers['content-security-policy']).toContain('sandbox');
    expect(headers['cache-control']).toContain('immutable');
  });

  test('twice stores it once', async () => {
    await send(PNG, 'a.png').expect(201);
    await send(PNG, 'b.png').expect(201);
    const { sha256 } = (await send(PNG, 'c.png')).body as { sha256: string };
    expect(await server.database.getRepository(FileEntity).countBy({ sha256 })).toBe(1);
  });

  test('cleans what does not draw out of an SVG, and says what', async () => {
    const svg =
      '<svg xmlns="http://www.w3.org/2000/svg" width="9" height="8"><script>1</script><path d="M0 0" onload="x()"/></svg>';
    const { body } = await send(Buffer.from(svg), 'drawn – Größe.svg').expect(201);
    expect(body).toMatchObject({
      name: 'drawn – Größe.svg',
      width: 9,
      height: 8,
      leftOut: ['onload', 'script'],
    });
    const stored = await wholeFile(server.database.manager, (body as { sha256: string }).sha256);
    expect(stored!.bytes.toString()).toBe(
      '<svg xmlns="http://www.w3.org/2000/svg" width="9" height="8"><path d="M0 0"></path></svg>',
    );
  });

  test('refuses more pixels than can be unpacked, and an upload that breaks off', async () => {
    const huge = Buffer.from(PNG);
    huge.writeUInt32BE(60_000, 16);
    huge.writeUInt32BE(60_000, 20);
    const { body } = await send(huge, 'huge.png').expect(415);
    expect(body).toMatchObject({
      said: say('picture-too-many-pixels', { width: 60_000, height: 60_000, most: 60 }),
    });
    for (const broken of ['--b\r\ncontent-disposition: form-data; name="file"', '--b\r\n', ''])
      await server.api
        .post('/api/sites/brackenfold/files')
        .set('content-type', 'multipart/form-data; boundary=b')
        .send(broken)
        .expect((answer) => expect([400, 415]).toContain(answer.status));
  });

  test('refuses what is no picture, what is too large, and nothing', async () => {
    await send(Buffer.from('<html><script>alert(1)</script>'), 'page.png').expect(415);
    await send(Buffer.from('%PDF-1.7'), 'paper.jpg').expect(415);
    await send(Buffer.alloc(5 * 1024 * 1024), 'large.png').expect(413);
    await server.api.post('/api/sites/brackenfold/files').expect(400);
  });
});

describe('bringing in a film', () => {
  const send = (bytes: Buffer, name: string) =>
    server.api.post('/api/sites/brackenfold/files').attach('file', bytes, name);
  /** The head of a file of the ISO base media format: a `ftyp` box with its brand (ISO/IEC 14496-12, 4.3). */
  const isoFile = (brand: string, size = 64): Buffer => {
    const bytes = Buffer.alloc(size, 7);
    bytes.writeUInt32BE(16, 0);
    bytes.write(`ftyp${brand}`, 4, 'latin1');
    return bytes;
  };
  /** The head of an EBML document with a DocType (RFC 8794, 11.2.8.1). */
  const ebmlFile = (docType: string): Buffer =>
    Buffer.concat([
      Buffer.from('1a45dfa39f4286810142f7810142f2810442f381084282', 'hex'),
      Buffer.from([0x80 | docType.length]),
      Buffer.from(docType, 'latin1'),
      Buffer.alloc(40),
    ]);

  test('tells its kind from the bytes, and sends any part of it (RFC 9110, 14.2)', async () => {
    const { body } = await send(isoFile('isom'), 'a film.mov').expect(201);
    expect(body).toMatchObject({ mediaType: 'video/mp4', name: 'a film.mov' });
    const path = `/files/${(body as { sha256: string }).sha256.slice(0, 16)}.mp4`;
    const whole = await server.api.get(path).expect(200).expect('content-type', 'video/mp4');
    expect(whole.headers['accept-ranges']).toBe('bytes');
    const part = (range: string) => server.api.get(path).set('range', range);
    const first = await part('bytes=4-11').expect(206).expect('content-range', 'bytes 4-11/64');
    expect((first.body as Buffer).toString('latin1')).toBe('ftypisom');
    await part('bytes=-8').expect(206).expect('content-range', 'bytes 56-63/64');
    await part('bytes=60-').expect(206).expect('content-range', 'bytes 60-63/64');
    await part('bytes=64-').expect(416).expect('content-range', 'bytes */64');
    await part('bytes=-0').expect(416);
    // More than there is at the end is all there is (14.1.2); a last byte before the first is no range, and not met.
    await part('bytes=-99999999999').expect(206).expect('content-range', 'bytes 0-63/64');
    await part('bytes=5-99999999999').expect(206).expect('content-range', 'bytes 5-63/64');
    const reversed = await part('bytes=5-2').expect(200);
    expect(reversed.headers['content-range']).toBeUndefined();
    // What is no range, and several at once, are answered with the whole.
    for (const other of ['bytes=x', 'lines=1-2', 'bytes=0-1,4-5']) await part(other).expect(200);
  });

  test('takes WebM, but nothing that only looks like a film', async () => {
    const { body } = await send(ebmlFile('webm'), 'a.webm').expect(201);
    expect(body).toMatchObject({ mediaType: 'video/webm' });
    for (const other of [ebmlFile('matroska'), isoFile('heic'), isoFile('M4A '), isoFile('qt  ')])
      await send(other, 'a.mp4').expect(415);
  });

  test('may be larger than a picture, and not as large as anybody likes', async () => {
    await send(isoFile('mp42', 5 * 1024 * 1024), 'long.mp4').expect(201);
    const { body } = await send(isoFile('mp42', 33 * 1024 * 1024), 'longer.mp4').expect(413);
    expect(body).toMatchObject({ said: say('film-too-large') });
  });
});

describe('loading the demo', () => {
  test('twice changes nothing', async () => {
    const count = () =>
      Promise.all(
        [SiteEntity, DocumentEntity, FileEntity].map((entity) =>
          server.database.getRepository(entity as never).count(),
        ),
      );
    const before = await count();
    await loadDemo(server.database, brackenfold);
    expect(await count()).toEqual(before);
  });

  test('with a document that is not sound stores nothing and says which', async () => {
    const { documents } = brackenfold();
    const broken = documents.with({ ...documents.site, slug: 'Not A Slug' });
    const storing = server.database.transaction((manager) => storeSite(manager, 'broken', broken));
    await expect(storing).rejects.toThrow('site/slug');
  });
});

describe('settings', () => {
  const env = { SORMET_DATABASE: 'postgres://x' };

  test('have defaults, on loopback', () => {
    expect(settingsFrom(env)).toEqual({
      database: 'postgres://x',
      port: 5180,
      frontPort: 5180,
      sitesPort: 5181,
      host: '127.0.0.1',
      names: [],
    });
  });

  test('an empty host is the default, and listening wider is said loudly', () => {
    expect(settingsFrom({ ...env, SORMET_HOST: '' }).host).toBe('127.0.0.1');
    expect(listeningWarning({ host: '127.0.0.1' })).toBeUndefined();
    expect(listeningWarning({ host: '0.0.0.0' })).toContain('ATTENTION');
  });

  test('names are a list; the default host allows no other', async () => {
    expect(settingsFrom({ ...env, SORMET_NAMES: 'sormet.example, [fe80::1]' }).names).toEqual([
      'sormet.example',
      '[fe80::1]',
    ]);
    expect(() => settingsFrom({ ...env, SORMET_NAMES: 'a b' })).toThrow('no name of a host');
    const before = process.env['SORMET_HOST'];
    process.env['SORMET_HOST'] = '127.0.0.1';
    await server.api.get('/api/health').set('host', 'evil.example').expect(403);
    if (before === undefined) delete process.env['SORMET_HOST'];
    else process.env['SORMET_HOST'] = before;
  });

  test.each([
    [{ ...env, SORMET_PORT: 'eighty' }, 'SORMET_PORT is “eighty”'],
    [{ ...env, SORMET_SITES_PORT: '99999' }, 'between 1 and 65535'],
    [{ ...env, SORMET_PORT: '5181' }, 'must differ'],
    [{}, 'SORMET_DATABASE is not set'],
  ])('%j is refused: %s', (given, reason) => {
    expect(() => settingsFrom(given)).toThrow(reason);
  });
});
