import { createHash, randomBytes } from 'node:crypto';
import { connect } from 'node:net';
import type { AddressInfo } from 'node:net';
import { say } from '@sormet/core/said';
import { bytesHeld } from '../test/collected';
import { startTestServer, type TestServer } from '../test/test-server';
import { bytesOf, findFile, PART_BYTES, storeFiles, wholeFile } from './stored-files';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.stop());

/** A film of some length with bytes that cannot be pressed together. */
function film(size: number): Buffer {
  const bytes = randomBytes(size);
  bytes.writeUInt32BE(16, 0);
  bytes.write('ftypisom', 4, 'latin1');
  return bytes;
}

const bringIn = async (bytes: Buffer): Promise<string> => {
  const { body } = await server.api
    .post('/api/sites/brackenfold/files')
    .attach('file', bytes, 'a film.mp4')
    .expect(201);
  return (body as { sha256: string }).sha256;
};

test('a file comes back as it was from its parts, whole and from any byte to any other', async () => {
  const bytes = film(3 * PART_BYTES + 12_345);
  const sha256 = await bringIn(bytes);
  expect(sha256).toBe(createHash('sha256').update(bytes).digest('hex'));
  expect((await wholeFile(server.database.manager, sha256))!.bytes.equals(bytes)).toBe(true);
  for (const [start, end] of [
    [0, 0],
    [PART_BYTES - 1, PART_BYTES],
    [PART_BYTES, 2 * PART_BYTES - 1],
    [17, bytes.length - 1],
  ] as const) {
    const parts: Buffer[] = [];
    for await (const part of bytesOf(server.database.manager, sha256, start, end)) parts.push(part);
    expect(Buffer.concat(parts).equals(bytes.subarray(start, end + 1))).toBe(true);
  }
  const { body } = await server.api
    .get(`/files/${sha256.slice(0, 16)}.mp4`)
    .set('range', `bytes=${PART_BYTES - 2}-${PART_BYTES + 1}`)
    .expect(206);
  expect((body as Buffer).equals(bytes.subarray(PART_BYTES - 2, PART_BYTES + 2))).toBe(true);
});

test('a file is found by the digits it begins with, and stored once', async () => {
  const bytes = Buffer.from('found by its digits');
  const sha256 = createHash('sha256').update(bytes).digest('hex');
  const store = () =>
    server.database.transaction((manager) =>
      storeFiles(manager, [{ sha256, mediaType: 'text/plain', bytes }]),
    );
  await store();
  await store();
  expect(await findFile(server.database.manager, sha256.slice(0, 16))).toEqual({
    sha256,
    mediaType: 'text/plain',
    size: bytes.length,
  });
  expect(await findFile(server.database.manager, '0'.repeat(16))).toBeUndefined();
});

test('readers who take nothing of a film cost a part of it each, not the whole', async () => {
  const size = 24 * PART_BYTES;
  const sha256 = await bringIn(film(size));
  const { port } = server.app.address() as AddressInfo;
  const before = bytesHeld();
  const sockets = Array.from({ length: 20 }, () => {
    const socket = connect(port, '127.0.0.1');
    socket.pause();
    socket.write(`GET /files/${sha256.slice(0, 16)}.mp4 HTTP/1.1\r\nhost: localhost\r\n\r\n`);
    return socket;
  });
  await new Promise((done) => setTimeout(done, 3000));
  const more = bytesHeld() - before;
  for (const socket of sockets) socket.destroy();
  // What each holds is its part, in the hands of the database, the program and the socket: far from the whole.
  expect(more).toBeLessThan((20 * size) / 4);
});

test('an asset whose file is not stored is refused where it is made, and what stands goes on being published', async () => {
  const missing = 'a'.repeat(64);
  const { body } = await server
    .send({
      name: 'addAsset',
      args: {
        asset: {
          id: 'asset-missing',
          kind: 'asset',
          format: (await server.documents()).site.format,
          name: 'gone.png',
          mediaType: 'image/png',
          sha256: missing,
          width: 2,
          height: 2,
        },
      },
    } as never)
    .expect(422);
  expect(body).toMatchObject({ said: say('file-of-not-stored', { name: 'gone.png' }) });
});
