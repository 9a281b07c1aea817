import fc from 'fast-check';
import { PageCompiler } from '@sormet/core/compile';
import { redirectsOf, redirectAt } from '@sormet/core/model';
import { seeing, startTestServer, type TestServer } from '../test/test-server';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
  await server.publish();
});
afterAll(() => server.stop());

const published = (path: string) => server.sites.get(path).set('host', 'brackenfold.localhost');
const preview = (path: string) =>
  server.sites.get(path).set('host', 'brackenfold.preview.localhost');

/** A policy as it is read by a browser: by directive what it allows (CSP Level 3, 2.2.1). */
function directivesOf(header: string | undefined): Record<string, string> {
  return Object.fromEntries(
    (header ?? '').split(';').map((each) => {
      const [name = '', ...rest] = each.trim().split(/\s+/);
      return [name, rest.join(' ')];
    }),
  );
}

test('each answer of the sites says outright what it may do, and who may frame it', async () => {
  for (const answer of [
    await published('/').expect(200),
    await published('/no-such-page').expect(404),
    await preview('/').expect(200),
    await preview('/no-such-page').expect(404),
    await server.sites.get('/').set('host', 'nobody.localhost').expect(404),
  ]) {
    const said = directivesOf(answer.headers['content-security-policy']);
    expect(said).toMatchObject({
      'default-src': "'none'",
      // A page that does something loads what ships with the program for that; all else runs nothing.
      'script-src': answer.status === 200 ? "'self'" : "'none'",
      'style-src': "'self'",
      'style-src-elem': "'self'",
      'style-src-attr': "'unsafe-inline'",
      'object-src': "'none'",
      'base-uri': "'none'",
      'form-action': "'self' https:",
      'frame-ancestors': "'self' http://127.0.0.1:5180",
    });
  }
  const canvas = await server.api.get('/canvas').expect(200);
  expect(directivesOf(canvas.headers['content-security-policy'])).toMatchObject({
    'frame-ancestors': "'self'",
    'script-src': "'none'",
  });
});

test('a stylesheet that nobody named is not there, and nothing is compiled to find that out', async () => {
  const compiling = jest.spyOn(PageCompiler.prototype, 'compile');
  const linking = jest.spyOn(PageCompiler.prototype, 'stylesheet');
  await preview(`/files/${'0'.repeat(16)}.css`).expect(404);
  await preview(`/files/${'0'.repeat(16)}.css`)
    .set('referer', 'http://elsewhere.example/')
    .expect(404);
  expect(compiling).not.toHaveBeenCalled();
  expect(linking).not.toHaveBeenCalled();
  // Of the page that asks, as after a start or at another server, it is made: of that page alone.
  const { text: html } = await preview('/about').expect(200);
  const path = /href="(\/files\/[0-9a-f]{16}\.css)"/.exec(html)![1]!;
  compiling.mockClear();
  await preview(path).expect(200);
  await preview(`/files/${'1'.repeat(16)}.css`)
    .set('referer', 'http://brackenfold.preview.localhost/about')
    .expect(404);
  expect(compiling).toHaveBeenCalledTimes(1);
  jest.restoreAllMocks();
});

test('a page whose path looks like that of files is shown and published', async () => {
  const edit = {
    name: 'setPath',
    args: { page: 'page-about', path: '/files/abc' },
  } as const;
  await server.send(edit, await server.documents()).expect(200);
  await preview('/files/abc').expect(200);
  await server.publish();
  await published('/files/abc').expect(200);
  await published('/about').expect(308).expect('location', '/files/abc');
});

test('a former path is asked for again each time: a page renamed there and back is found', async () => {
  const move = async (path: string) => {
    const edit = { name: 'setPath', args: { page: 'page-about', path } } as const;
    await server.send(edit, await server.documents()).expect(200);
    await server.publish();
  };
  await move('/there');
  await published('/files/abc')
    .expect(308)
    .expect('location', '/there')
    .expect('cache-control', 'no-cache');
  await move('/files/abc');
  await published('/files/abc').expect(200);
  await published('/there').expect(308).expect('location', '/files/abc');
});

test('however pages and entries are renamed, no redirect leads to itself, through others either', async () => {
  const documents = await server.documents();
  const paths = ['/a', '/b', '/c', '/d'];
  const renaming = fc.oneof(
    fc.record({
      page: fc.constantFrom('page-about', 'page-menders', 'page-sessions'),
      path: fc.constantFrom(...paths),
    }),
    fc.record({
      page: fc.constant('page-shed'),
      path: fc.constantFrom('/a/<slug>', '/b/<slug>', '/sheds/<slug>'),
    }),
  );
  fc.assert(
    fc.property(fc.array(renaming, { maxLength: 12 }), (renamings) => {
      let now = documents;
      for (const { page, path } of renamings)
        try {
          now = seeing(now, { name: 'setPath', args: { page, path } });
        } catch {
          // The path is taken: the page stays where it is.
        }
      const redirects = redirectsOf(now);
      for (const [from, to] of redirects) {
        expect(redirects.has(to)).toBe(false);
        expect(redirectAt(now, from)).toBe(to);
        expect(to).not.toBe(from);
      }
    }),
    { numRuns: 60 },
  );
});
