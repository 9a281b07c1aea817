import { FlateErrorCode, unzipSync, type FlateError, type UnzipFileInfo } from 'fflate';
import {
  csvWaysOf,
  decoded,
  encodingOf,
  isJson,
  readCsv,
  readJson,
  type CsvWays,
  type Table,
  type TextEncoding,
} from '@sormet/core/format';

/** A file as it was brought: its bytes, and pictures that came beside it in an archive. */
export interface Brought {
  readonly name: string;
  readonly bytes: Uint8Array;
  readonly pictures: readonly File[];
}

/** How a file is read: as it says itself, or as somebody says. */
export interface FileWays {
  readonly encoding: TextEncoding;
  /** Nothing for JSON. */
  readonly csv: CsvWays | undefined;
}

/** The largest file that is read, in bytes. */
const LARGEST = 50_000_000;

const PICTURE = /\.(jpe?g|png|gif|webp|avif|svg)$/i;
const ROWS = /\.(csv|tsv|txt|json|jsonl|ndjson)$/i;

/** What some files bring: one of rows, and pictures; archives are opened. */
export async function bringFiles(files: readonly File[]): Promise<Brought | string> {
  let rows: { name: string; bytes: Uint8Array } | undefined;
  const pictures: File[] = [];
  const take = (name: string, bytes: Uint8Array<ArrayBuffer>) => {
    const short = name.slice(name.lastIndexOf('/') + 1);
    // What systems put beside files is none of them.
    if (short.startsWith('.') || name.startsWith('__MACOSX/')) return;
    if (PICTURE.test(short)) pictures.push(new File([bytes], short));
    else if (ROWS.test(short)) rows ??= { name: short, bytes };
  };
  for (const file of files) {
    if (file.size > LARGEST) return `${file.name} is larger than 50 MB.`;
    const bytes = new Uint8Array(await file.arrayBuffer());
    // The first bytes of an archive (ZIP Application Note, 4.3.7).
    if (bytes[0] === 0x50 && bytes[1] === 0x4b && bytes[2] === 3 && bytes[3] === 4) {
      const inside = await unzipped(bytes);
      if (typeof inside === 'string') return `${file.name} cannot be opened: ${inside}.`;
      for (const [name, each] of inside) take(name, each as Uint8Array<ArrayBuffer>);
    } else take(file.name, bytes);
  }
  if (!rows && pictures.length === 0)
    return 'Rows come as CSV, TSV or JSON, pictures beside them in an archive (ZIP): none of these is among it.';
  return { name: rows?.name ?? '', bytes: rows?.bytes ?? new Uint8Array(), pictures };
}

/** How much of an archive is opened before the window is let go on, in bytes. */
const PART = 2_000_000;

/**
 * What of an archive is wanted, by name; or why it cannot be opened. It is read by the list at its end (ZIP Application
 * Note, 4.3.12): what stands in a file may look like the beginning of another. Opened a part at a time, and never more
 * than the largest file, nor of a file more than the list says it holds.
 */
async function unzipped(bytes: Uint8Array): Promise<Map<string, Uint8Array> | string> {
  try {
    const wanted: UnzipFileInfo[] = [];
    unzipSync(bytes, {
      filter: (file) => {
        if (PICTURE.test(file.name) || ROWS.test(file.name)) wanted.push(file);
        return false;
      },
    });
    if (sizeOf(wanted) > LARGEST) return 'it holds more than 50 MB';
    const found = new Map<string, Uint8Array>();
    while (wanted.length > 0) {
      const part = new Set<string>();
      for (let size = 0; wanted.length > 0 && size < PART;) {
        const file = wanted.shift()!;
        size += file.originalSize;
        part.add(file.name);
      }
      const opened = unzipSync(bytes, { filter: ({ name }) => part.has(name) });
      for (const [name, each] of Object.entries(opened)) found.set(name, each);
      await new Promise((done) => setTimeout(done));
    }
    return found;
  } catch (error) {
    return (error as Partial<FlateError>).code === FlateErrorCode.UnknownCompressionMethod
      ? 'it is pressed in a way that is not read here'
      : 'it is not whole';
  }
}

function sizeOf(files: readonly UnzipFileInfo[]): number {
  return files.reduce((sum, { originalSize }) => sum + originalSize, 0);
}

/** How a file is written, as far as it shows. */
export function waysOfFile({ bytes }: Brought): FileWays {
  const encoding = encodingOf(bytes);
  const text = decoded(bytes, encoding);
  return { encoding, csv: isJson(text) ? undefined : csvWaysOf(text) };
}

/** The rows of a file. */
export function tableOfFile({ bytes }: Brought, { encoding, csv }: FileWays): Table {
  const text = decoded(bytes, encoding);
  return csv ? readCsv(text, csv) : readJson(text);
}
