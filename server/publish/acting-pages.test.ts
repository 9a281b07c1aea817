import { behaviourJs } from '@sormet/core/compile';
import { treeDocOf } from '@sormet/core/model';
import { startTestServer, type TestServer } from '../test/test-server';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.stop());

const get = (path: string, host: string) =>
  server.sites.get(path).set('host', `${host}:5181`).expect(200);
const LIVE = 'brackenfold.localhost';
const PREVIEW = 'brackenfold.preview.localhost';
const scriptIn = (html: string) => /<script defer src="([^"]*)"><\/script>/.exec(html)?.[1];

async function without(doc: string, component: string): Promise<void> {
  const { nodes } = treeDocOf(await server.documents(), doc)!;
  const [node] = Object.entries(nodes).find(
    ([, each]) => each.kind === 'instance' && each.component === component,
  )!;
  await server.send({ name: 'remove', args: { doc, nodes: [node] } }).expect(200);
}

test('only a page with states loads a script, its own policy lets that in and nothing else, published and in the preview', async () => {
  // What of the demo does something goes first.
  await without('surround', 'menu');
  await without('page-home', 'slides');
  await server.publish();
  const before = await get('/', LIVE);
  expect(scriptIn(before.text)).toBeUndefined();
  expect(before.text).not.toContain('<script');
  expect(before.headers['content-security-policy']).toContain("script-src 'none'");

  await server
    .send({
      name: 'setState',
      args: { component: 'button', property: 'button-size', state: { round: true } },
    })
    .expect(200);
  await server.publish();
  for (const host of [LIVE, PREVIEW]) {
    const page = await get('/', host);
    expect(page.headers['content-security-policy']).toContain("script-src 'self'");
    expect(page.headers['content-security-policy']).not.toContain("script-src 'self' ");
    const script = await get(scriptIn(page.text)!, host).set('referer', `http://${host}:5181/`);
    expect(script.text).toBe(
      behaviourJs({ more: false, happenings: false, keys: false, wrong: false }),
    );
    expect(script.headers['content-type']).toMatch(/^text\/javascript/);
  }
  // Kept for good where it is published: its name says what it holds.
  const published = await get(scriptIn((await get('/', LIVE)).text)!, LIVE);
  expect(published.headers['cache-control']).toContain('immutable');
  // A page without states holds none, as before.
  const still = await get('/sessions', LIVE);
  expect(scriptIn(still.text)).toBeUndefined();
  expect(still.headers['content-security-policy']).toContain("script-src 'none'");
}, 60_000);
