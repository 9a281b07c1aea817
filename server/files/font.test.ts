import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import fc from 'fast-check';
import { startTestServer, type TestServer } from '../test/test-server';
import { isFont, readFont } from './font';

const require = createRequire(__filename);
const bytesOf = (path: string) => readFileSync(require.resolve(path));
const bold = bytesOf(
  '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-700-normal.woff2',
);
const mono = bytesOf(
  '@fontsource/atkinson-hyperlegible-mono/files/atkinson-hyperlegible-mono-latin-400-normal.woff2',
);
const variable = bytesOf('@fontsource-variable/literata/files/literata-latin-wght-normal.woff2');

describe('a font that is brought in', () => {
  test('says its family, weight, style and measures (OpenType: OS/2, hhea; those of the fonts as their makers publish them)', async () => {
    expect(await readFont(bold)).toMatchObject({
      picture: {
        mediaType: 'font/woff2',
        font: {
          family: 'Atkinson Hyperlegible Next',
          weight: '700',
          style: 'normal',
          metrics: { unitsPerEm: 1000, ascent: 984, descent: -316, lineGap: 0 },
        },
      },
    });
    expect(await readFont(mono)).toMatchObject({
      picture: { font: { family: 'Atkinson Hyperlegible Mono', weight: '400' } },
    });
    expect(await readFont(variable)).toMatchObject({
      picture: { font: { family: 'Literata', weight: '200 900' } },
    });
  });

  test('is refused, in words, however it is broken', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.integer({ min: 4, max: bold.length - 1 }),
        fc.uint8Array({ minLength: 1, maxLength: 40 }),
        async (at, junk) => {
          const broken = Buffer.concat([bold.subarray(0, at), junk]);
          expect(isFont(broken)).toBe(true);
          const read = await readFont(broken);
          expect('refused' in read ? read.refused.code : 'font-unreadable').toBe('font-unreadable');
        },
      ),
      { numRuns: 40 },
    );
  });
});

describe('the server', () => {
  let server: TestServer;
  beforeAll(async () => {
    server = await startTestServer();
  });
  afterAll(() => server.stop());
  const send = (bytes: Buffer, name: string) =>
    server.api.post('/api/sites/brackenfold/files').attach('file', bytes, name);

  test('stores a font, told from its bytes whatever its name, and sends it as one', async () => {
    const { body } = await send(bold, 'bold.png').expect(201);
    expect(body).toMatchObject({ mediaType: 'font/woff2', font: { weight: '700' } });
    const { sha256 } = body as { sha256: string };
    const file = await server.api.get(`/files/${sha256.slice(0, 16)}.woff2`).expect(200);
    expect(file.headers['content-type']).toBe('font/woff2');
    expect(file.headers['x-content-type-options']).toBe('nosniff');
  });

  test('says in words what is no font', async () => {
    const { body } = await send(Buffer.from('wOF2 and nothing more'), 'font.woff2').expect(415);
    expect(JSON.stringify(body)).toContain('font-unreadable');
  });
});
