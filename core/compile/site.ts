import { sha256 } from '@noble/hashes/sha2';
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils';
import {
  addressesOf,
  assetPath,
  docOf,
  own,
  redirectsOf,
  type Doc,
  type Documents,
} from '../model';
import { shortName } from '../edit';
import type { Linker } from '../resolve';
import { recordOf } from '../value';
import { PageCompiler, redirectHtml } from './page';

/** One file of a release. */
export interface ReleaseFile {
  readonly sha256: string;
  readonly mediaType: string;
  /** For pages: what they were made from. */
  readonly depends?: readonly string[];
  /** For a former path: where it leads. */
  readonly redirect?: string;
  /** For pages: the files they load. */
  readonly loads?: readonly string[];
}

/** A release: every file by its path, which for pages is that of an `index.html`. */
export type Manifest = Readonly<Record<string, ReleaseFile>>;

/** A manifest with the texts it needs that may not be stored yet, by content. Pictures are stored already. */
export interface CompiledSite {
  readonly manifest: Manifest;
  readonly texts: ReadonlyMap<string, string>;
  /** How many pages were made, and how many were taken over from before. */
  readonly made: number;
  readonly kept: number;
}

/**
 * The version of how pages are made and of what is noted about them. Pages of a release that another version
 * made are never taken over, since what they note may be less than what they were made from.
 */
export const COMPILER = 3;

/** The path of the file that serves an address. */
export function fileOf(path: string): string {
  return path === '/' ? '/index.html' : `${path}/index.html`;
}

/** The address that a file serves, `undefined` for a file that is no page. */
export function addressOfFile(file: string): string | undefined {
  if (!file.endsWith('/index.html')) return undefined;
  return file === '/index.html' ? '/' : file.slice(0, -'/index.html'.length);
}

/** What changed between two states, in the words of `Recorded`: documents, lists, pages of a type, paths. */
export function changedBetween(before: Documents, after: Documents): Set<string> {
  const changed = new Set<string>();
  for (const { id, before: old, after: now } of after.differenceFrom(before)) {
    const moved = whereabouts(old) !== whereabouts(now);
    changed.add(id);
    if (moved) changed.add('path:' + id);
    for (const record of changedRecords(old, now)) changed.add(recordOf(id, record));
    for (const doc of [old, now]) {
      if (doc?.kind === 'entry') changed.add('entries:' + doc.type);
      if (doc?.kind === 'page' && doc.entries && moved) changed.add('pages:' + doc.entries);
    }
  }
  return changed;
}

/** The tokens or tags that differ between two states of the document that holds them. */
function changedRecords(old: Doc | undefined, now: Doc | undefined): string[] {
  const recordsOf = (doc: Doc | undefined): Readonly<Record<string, unknown>> =>
    doc?.kind === 'tokens' ? doc.tokens : doc?.kind === 'tags' ? doc.tags : {};
  const [before, after] = [recordsOf(old), recordsOf(now)];
  return [...new Set([...Object.keys(before), ...Object.keys(after)])].filter(
    (record) => own(before, record) !== own(after, record),
  );
}

/** Everything that decides where a page or an entry is found. */
function whereabouts(doc: Doc | undefined): string {
  if (doc?.kind === 'page') return `${doc.path} ${doc.draft} ${doc.entries}`;
  if (doc?.kind === 'entry') return `${doc.slug} ${doc.draft} ${doc.type}`;
  return '';
}

/**
 * Every file of a site's release. With an earlier manifest, only pages that depend on something changed
 * are made again; the result is the same as without.
 * @param progress told after each page: how many are done, of how many
 */
export function compileSite(
  documents: Documents,
  linker: Linker,
  before?: { manifest: Manifest; changed: ReadonlySet<string> },
  progress: (done: number, of: number) => void = () => undefined,
): CompiledSite {
  const site = documents.site;
  const compiler = new PageCompiler(documents, linker);
  const manifest: Record<string, ReleaseFile> = {};
  const texts = new Map<string, string>();
  let made = 0;
  let kept = 0;

  const addText = (
    path: string,
    text: string,
    mediaType: string,
    more: Partial<ReleaseFile> = {},
  ) => {
    const hash = bytesToHex(sha256(utf8ToBytes(text)));
    texts.set(hash, text);
    manifest[path] = { sha256: hash, mediaType, ...more };
  };

  const addresses = addressesOf(documents);
  const done = () => progress(made + kept, addresses.length);
  for (const address of addresses) {
    const file = fileOf(address.path);
    const old = before?.manifest[file];
    const owner = [address.page.id, ...(address.entry ? [address.entry.id] : [])];
    const reusable =
      old?.depends !== undefined &&
      owner.every((id) => old.depends!.includes(id)) &&
      !old.depends.some((id) => before!.changed.has(id));
    if (reusable) {
      manifest[file] = old;
      for (const loaded of old.loads ?? []) manifest[loaded] = before!.manifest[loaded]!;
      kept += 1;
    } else {
      const page = compiler.compile(address);
      if (!manifest[page.css.path])
        addText(page.css.path, page.css.text, 'text/css; charset=utf-8');
      const assets = page.depends.flatMap((id) => docOf(documents, 'asset', id) ?? []);
      for (const asset of assets)
        manifest[assetPath(asset)] = { sha256: asset.sha256, mediaType: asset.mediaType };
      addText(file, page.html, 'text/html; charset=utf-8', {
        depends: page.depends,
        loads: [page.css.path, ...assets.map(assetPath)].sort(),
      });
      made += 1;
    }
    done();
  }
  for (const [from, to] of redirectsOf(documents))
    addText(fileOf(from), redirectHtml(site.language, to), 'text/html; charset=utf-8', {
      redirect: to,
    });
  return { manifest: sorted(manifest), texts, made, kept };
}

function sorted(manifest: Record<string, ReleaseFile>): Manifest {
  return Object.fromEntries(Object.entries(manifest).sort(([a], [b]) => (a < b ? -1 : 1)));
}

/** One page that a release would change, and why. */
export interface PlannedPage {
  readonly path: string;
  readonly what: 'new' | 'changed' | 'gone' | 'redirect';
  readonly reasons: readonly string[];
}

/**
 * The addresses where two manifests differ, each with its reasons: the documents that changed and that
 * the page was made from, in words.
 */
export function planOf(
  before: Manifest,
  after: Manifest,
  changed: ReadonlySet<string>,
  documents: Documents,
  earlier: Documents,
): PlannedPage[] {
  const plan: PlannedPage[] = [];
  for (const file of new Set([...Object.keys(before), ...Object.keys(after)])) {
    const path = addressOfFile(file);
    if (path === undefined) continue;
    const old = before[file];
    const now = after[file];
    if (old?.sha256 === now?.sha256) continue;
    if (!now) plan.push({ path, what: 'gone', reasons: ['no page has this path any more'] });
    else if (now.redirect !== undefined)
      plan.push({ path, what: 'redirect', reasons: [`leads to ${now.redirect} now`] });
    else if (!old || old.redirect !== undefined)
      plan.push({ path, what: 'new', reasons: ['the page is new'] });
    else plan.push({ path, what: 'changed', reasons: reasonsOf(now, changed, documents, earlier) });
  }
  return plan.sort((a, b) => (a.path < b.path ? -1 : 1));
}

function reasonsOf(
  file: ReleaseFile,
  changed: ReadonlySet<string>,
  documents: Documents,
  earlier: Documents,
): string[] {
  const reasons = (file.depends ?? [])
    .filter((id) => changed.has(id))
    .flatMap((id) => reasonOf(id, documents, earlier) ?? []);
  const unique = [...new Set(reasons)].sort();
  return unique.length > 0 ? unique : ['something it is made from changed'];
}

function reasonOf(id: string, documents: Documents, earlier: Documents): string | undefined {
  if (id.startsWith('entries:')) {
    const type = docOf(documents, 'type', id.slice('entries:'.length));
    return `the list of ${type?.plural.toLowerCase() ?? 'entries'} changed`;
  }
  if (id.startsWith('path:') || id.startsWith('pages:'))
    return 'the address of a page it links to changed';
  const [name, record] = id.split('#');
  const doc = documents.get(name!) ?? earlier.get(name!);
  if (record !== undefined && doc?.kind === 'tags') return `the style of every ${record} changed`;
  if (record !== undefined && doc?.kind === 'tokens') {
    const before = docOf(earlier, 'tokens', doc.id);
    const token = own(doc.tokens, record) ?? (before && own(before.tokens, record));
    return `the token ${token?.name ?? 'that is gone'} changed`;
  }
  switch (doc?.kind) {
    case 'page':
      return `the page ${doc.path} changed`;
    case 'component':
      return `the definition of ${shortName(doc.name)} changed`;
    case 'entry':
      return `the entry ${doc.slug} changed`;
    case 'tokens':
      return 'the tokens changed';
    case 'tags':
      return 'the tag styles changed';
    case 'style':
      return `the style ${doc.name} changed`;
    case 'site':
      return 'the settings of the site changed';
    case 'asset':
      return `the file ${doc.name} changed`;
    case 'type':
      return `the content type ${doc.name} changed`;
    default:
      return undefined;
  }
}
