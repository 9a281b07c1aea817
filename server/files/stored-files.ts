import { open } from 'node:fs/promises';
import type { EntityManager } from 'typeorm';

/** How many bytes of a file lie in one row, at the most: nothing larger is ever in memory of a file. */
export const PART_BYTES = 1024 * 1024;

/** How many files one statement stores. */
const ROWS = 200;

/** What is known of a stored file without reading it. */
export interface StoredFile {
  readonly sha256: string;
  readonly mediaType: string;
  /** In bytes. */
  readonly size: number;
}

/** A file that is small enough to be in memory whole. */
export interface WholeFile {
  readonly sha256: string;
  readonly mediaType: string;
  readonly bytes: Uint8Array;
}

/** Which of these files are stored. */
export async function storedAmong(
  manager: EntityManager,
  hashes: readonly string[],
): Promise<Set<string>> {
  const rows = (await manager.query('SELECT sha256 FROM files WHERE sha256 = ANY($1::text[])', [
    hashes,
  ])) as { sha256: string }[];
  return new Set(rows.map(({ sha256 }) => sha256));
}

/** A stored file, by its whole hash or by the digits it begins with. */
export async function findFile(
  manager: EntityManager,
  hash: string,
): Promise<StoredFile | undefined> {
  // Between the digits and the first string behind all that begin with them: by the primary key, whatever the collation.
  const [row] = (await manager.query(
    `SELECT sha256, media_type AS "mediaType", size FROM files
      WHERE sha256 COLLATE "C" >= $1 AND sha256 COLLATE "C" < $2 LIMIT 1`,
    [hash, hash + 'g'],
  )) as StoredFile[];
  return row;
}

/** The bytes of a file from one to another, both among them, part by part: no more than one part is in memory. */
export async function* bytesOf(
  manager: EntityManager,
  sha256: string,
  start: number,
  end: number,
): AsyncGenerator<Buffer> {
  for (let at = start; at <= end;) {
    const number = Math.floor(at / PART_BYTES);
    const [row] = (await manager.query(
      'SELECT bytes FROM file_parts WHERE sha256 = $1 AND number = $2',
      [sha256, number],
    )) as { bytes: Buffer }[];
    if (!row) throw new Error(`Part ${number} of the file ${sha256} is not stored.`);
    const from = number * PART_BYTES;
    yield row.bytes.subarray(at - from, Math.min(end + 1 - from, row.bytes.length));
    at = from + PART_BYTES;
  }
}

/** A whole file; for those that are known to be small. */
export async function wholeFile(
  manager: EntityManager,
  hash: string,
): Promise<(StoredFile & { readonly bytes: Buffer }) | undefined> {
  const file = await findFile(manager, hash);
  if (!file) return undefined;
  const parts: Buffer[] = [];
  for await (const part of bytesOf(manager, file.sha256, 0, file.size - 1)) parts.push(part);
  return { ...file, bytes: Buffer.concat(parts) };
}

/** Stores files that are in memory, once by content. In a transaction: a file is stored whole or not at all. */
export async function storeFiles(
  manager: EntityManager,
  files: readonly WholeFile[],
): Promise<void> {
  for (let i = 0; i < files.length; i += ROWS) {
    const some = files.slice(i, i + ROWS);
    const fresh = await storeHeads(
      manager,
      some.map(({ sha256, mediaType, bytes }) => ({ sha256, mediaType, size: bytes.length })),
    );
    for (const { sha256, bytes } of some)
      if (fresh.has(sha256))
        for (let at = 0; at < bytes.length; at += PART_BYTES)
          await storePart(manager, sha256, at / PART_BYTES, bytes.subarray(at, at + PART_BYTES));
  }
}

/** Stores a file that lies on disk, read part by part. In a transaction. */
export async function storeFromDisk(
  manager: EntityManager,
  file: StoredFile,
  path: string,
): Promise<void> {
  const fresh = await storeHeads(manager, [file]);
  if (!fresh.has(file.sha256)) return;
  const handle = await open(path);
  try {
    const part = Buffer.alloc(PART_BYTES);
    for (let number = 0, at = 0; at < file.size; number += 1, at += PART_BYTES) {
      const { bytesRead } = await handle.read(part, 0, PART_BYTES, at);
      await storePart(manager, file.sha256, number, part.subarray(0, bytesRead));
    }
  } finally {
    await handle.close();
  }
}

/** @returns the hashes of those that were not stored before */
async function storeHeads(
  manager: EntityManager,
  files: readonly StoredFile[],
): Promise<Set<string>> {
  const rows = (await manager.query(
    `INSERT INTO files (sha256, media_type, size)
     SELECT * FROM unnest($1::text[], $2::text[], $3::int[])
     ON CONFLICT (sha256) DO NOTHING RETURNING sha256`,
    [
      files.map(({ sha256 }) => sha256),
      files.map(({ mediaType }) => mediaType),
      files.map(({ size }) => size),
    ],
  )) as { sha256: string }[];
  return new Set(rows.map(({ sha256 }) => sha256));
}

async function storePart(
  manager: EntityManager,
  sha256: string,
  number: number,
  bytes: Uint8Array,
): Promise<void> {
  await manager.query('INSERT INTO file_parts (sha256, number, bytes) VALUES ($1, $2, $3)', [
    sha256,
    number,
    Buffer.from(bytes.buffer, bytes.byteOffset, bytes.byteLength),
  ]);
}
