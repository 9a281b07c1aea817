import JSZip from 'jszip';
import { zipSync } from 'fflate';
import { bringFiles } from './read-file';

/** Files of an archive as somebody brings it. */
const CONTENT: Readonly<Record<string, string>> = {
  'trees.csv': 'name,picture\nAlder,alder.svg\n',
  'pictures/alder.svg': '<svg xmlns="http://www.w3.org/2000/svg"/>'.repeat(400),
  'pictures/Ärle \u{1F426}.png': '\u0000\u0001'.repeat(3_000),
  'pictures/none.gif': '',
  'notes.pdf': 'nobody asks for it',
  '__MACOSX/pictures/._alder.svg': 'what a system puts beside files',
  'pictures/.hidden.png': 'as this',
};

/** What of it comes in: the rows, and the pictures by their names alone. */
async function broughtFrom(archive: Uint8Array, name = 'trees.zip') {
  const found = await bringFiles([new File([new Uint8Array(archive)], name)]);
  if (typeof found === 'string') return found;
  const pictures = await Promise.all(
    found.pictures.map(async (file) => [file.name, Buffer.from(await file.arrayBuffer())] as const),
  );
  return { rows: Buffer.from(found.bytes).toString(), pictures: Object.fromEntries(pictures) };
}

async function madeBy(options: JSZip.JSZipGeneratorOptions<'uint8array'>): Promise<Uint8Array> {
  const zip = new JSZip();
  for (const [name, text] of Object.entries(CONTENT)) zip.file(name, text);
  return zip.generateAsync({ ...options, type: 'uint8array' });
}

/** The same of an archive as another reader has it (JSZip). */
async function readByAnother(archive: Uint8Array) {
  const zip = await JSZip.loadAsync(archive);
  const bytes = async (name: string) => (await zip.file(name)!.async('nodebuffer')) as Buffer;
  return {
    rows: (await bytes('trees.csv')).toString(),
    pictures: {
      'alder.svg': await bytes('pictures/alder.svg'),
      'Ärle \u{1F426}.png': await bytes('pictures/Ärle \u{1F426}.png'),
      'none.gif': await bytes('pictures/none.gif'),
    },
  };
}

// Source: ZIP Application Note 6.3.10, 4.3 and 4.4 (local headers, data descriptors, methods 0 and 8), as JSZip writes and reads it.
test.each([
  ['pressed, sizes told beforehand', { compression: 'DEFLATE' }],
  ['as it is, sizes told beforehand', { compression: 'STORE' }],
  ['pressed, sizes told behind what is in it', { compression: 'DEFLATE', streamFiles: true }],
  ['as it is, sizes told behind what is in it', { compression: 'STORE', streamFiles: true }],
  ['as a system of another sort writes it', { compression: 'DEFLATE', platform: 'UNIX' }],
] as const)('an archive is read as another reader reads it: %s', async (_, options) => {
  const archive = await madeBy({ ...options, type: 'uint8array' });
  expect(await broughtFrom(archive)).toEqual(await readByAnother(archive));
});

test('one in another, or behind something, is read by where its list stands, not by what looks like a file', async () => {
  const inner = zipSync({ 'inner.svg': new Uint8Array(9) }, { level: 0 });
  const zip = new JSZip();
  zip.file('held.png', inner);
  zip.file('rows.csv', 'a\n1\n');
  const archive = await zip.generateAsync({ type: 'uint8array', streamFiles: true });
  expect(await broughtFrom(archive)).toEqual({
    rows: 'a\n1\n',
    pictures: { 'held.png': Buffer.from(inner) },
  });
});

test('what is cut off, too large or pressed otherwise is told; never more is opened than an archive says it holds', async () => {
  const archive = await madeBy({ compression: 'DEFLATE', type: 'uint8array' });
  expect(await broughtFrom(archive.subarray(0, archive.length - 400))).toBe(
    'trees.zip cannot be opened: it is not whole.',
  );
  const bomb = zipSync({ 'bomb.png': new Uint8Array(60_000_000) }, { level: 1 });
  expect(await broughtFrom(bomb)).toBe('trees.zip cannot be opened: it holds more than 50 MB.');
  // One that says in its list that it holds four bytes, and holds four thousand.
  const lying = zipSync({ 'x.svg': new Uint8Array(4_000) }, { level: 9 });
  const list = Buffer.from(lying.buffer).lastIndexOf('PK\u0001\u0002', undefined, 'latin1');
  new DataView(lying.buffer).setUint32(list + 24, 4, true);
  expect(await broughtFrom(lying)).toEqual({ rows: '', pictures: { 'x.svg': Buffer.alloc(4) } });
  // And one that is pressed as none is here (method 12, bzip2).
  const other = zipSync({ 'x.svg': new Uint8Array(4_000) }, { level: 9 });
  new DataView(other.buffer).setUint16(list + 10, 12, true);
  expect(await broughtFrom(other)).toBe(
    'trees.zip cannot be opened: it is pressed in a way that is not read here.',
  );
});

test('an archive of rows and pictures and files beside it are one bringing', async () => {
  const found = await bringFiles([
    new File(['a\n1\n'], 'rows.csv'),
    new File([zipSync({ 'x.svg': new Uint8Array(3) }) as Uint8Array<ArrayBuffer>], 'pictures.zip'),
  ]);
  expect(found).toMatchObject({ name: 'rows.csv', pictures: [{ name: 'x.svg' }] });
});
