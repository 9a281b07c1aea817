import { folderOf } from '@sormet/core/edit';
import { knownTag } from '@sormet/core/locale';
import { allOf, type AssetDoc, type Documents } from '@sormet/core/model';
import type { Reach } from '@sormet/core/reach';

export type FileKind = 'all' | 'image' | 'video' | 'font' | 'unused';
export type FileOrder = 'name' | 'uses' | 'kind' | 'size';

/** A file with what is said of it in its row. */
export interface FileRow {
  readonly asset: AssetDoc;
  /** The documents that use it. */
  readonly users: readonly string[];
  /** Another of the same bytes. */
  readonly twin: AssetDoc | undefined;
}

/** The files of a site, with the documents that use each. */
export function filesOf(documents: Documents, reach: Reach): FileRow[] {
  const firsts = new Map<string, AssetDoc>();
  return allOf(documents, 'asset').map((asset) => {
    const twin = firsts.get(asset.sha256);
    if (!twin) firsts.set(asset.sha256, asset);
    const users = [...new Set(reach.usesOf(asset.id).map(({ from }) => from))];
    return { asset, users, twin };
  });
}

/** The files that are looked for, in the order that was chosen. */
export function looked(
  all: readonly FileRow[],
  find: string,
  kind: FileKind,
  order: FileOrder,
  language: string,
): FileRow[] {
  const wanted = find.trim().toLowerCase();
  const rows = all.filter(
    ({ asset, users }) =>
      (kind === 'all' ||
        (kind === 'unused' ? users.length === 0 : asset.mediaType.startsWith(`${kind}/`))) &&
      asset.name.toLowerCase().includes(wanted),
  );
  const compare = new Intl.Collator(knownTag(language) ?? 'en', { numeric: true }).compare;
  const byName = (a: FileRow, b: FileRow) =>
    compare(a.asset.name, b.asset.name) || (a.asset.id < b.asset.id ? -1 : 1);
  const area = ({ asset: { width = 0, height = 0 } }: FileRow) => width * height;
  return rows.sort((a, b) => {
    if (order === 'uses') return b.users.length - a.users.length || byName(a, b);
    if (order === 'size') return area(b) - area(a) || byName(a, b);
    if (order === 'kind') return compare(a.asset.mediaType, b.asset.mediaType) || byName(a, b);
    return byName(a, b);
  });
}

/** Files by their folders, those in none first, each folder where its first file is. */
export function byFolder(rows: readonly FileRow[]): [folder: string, files: FileRow[]][] {
  const folders = new Map<string, FileRow[]>([['', []]]);
  for (const row of rows) {
    const folder = folderOf(row.asset.name);
    const there = folders.get(folder);
    if (there) there.push(row);
    else folders.set(folder, [row]);
  }
  return [...folders].filter(([, files]) => files.length > 0);
}
