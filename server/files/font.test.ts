import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import fc from 'fast-check';
import { startTestServer, type TestServer } from '../test/test-server';
import { Ajv } from 'ajv';
import { Font } from '@sormet/core/model';
import type { OpenFamily } from '@sormet/core/api';
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

  test('ships a dozen open families: every file is a font of that name in all weights, upright or slanted, for the letters it says', async () => {
    const { body } = await server.api.get('/api/fonts').expect(200);
    const { families } = body as { families: OpenFamily[] };
    expect(families).toHaveLength(12);
    const valid = new Ajv({ strict: false }).compile(Font);
    for (const { family, faces } of families)
      for (const { file, style, range } of faces) {
        const sent = await server.api.get(`/api/fonts/${file}`).buffer().expect(200);
        expect(sent.headers['content-type']).toBe('font/woff2');
        const read = await readFont(sent.body as Buffer);
        if ('refused' in read) throw new Error(file);
        const { font } = read.picture;
        // The families of variable fonts are called so, whatever their makers add for the optical size.
        expect([file, font?.family.startsWith(family)]).toEqual([file, true]);
        expect([file, font?.style]).toEqual([file, style]);
        expect(font?.weight).toMatch(/^\d+ \d+$/);
        // The face for the letters of most languages has measures.
        expect([file, font?.metrics !== undefined]).toEqual([file, range.startsWith('U+0000')]);
        const face = { ...font, asset: 'file', range };
        expect([face, valid(face)]).toEqual([face, true]);
      }
  });

  test('sends no file but those of its families', async () => {
    for (const name of ['literata', '..%2funicode.json', 'literata-latin-wght-normal.woff2', 'x'])
      await server.api.get(`/api/fonts/${name}`).expect(404);
  });

  test('says in words what is no font', async () => {
    const { body } = await send(Buffer.from('wOF2 and nothing more'), 'font.woff2').expect(415);
    expect(JSON.stringify(body)).toContain('font-unreadable');
  });
});
