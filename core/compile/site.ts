import {
  addressesAt,
  addressesOf,
  assetPath,
  docOf,
  redirectAt,
  redirectsOf,
  type Address,
  type Documents,
} from '../model';
import { changedBetween } from './changed';
import {
  addressOfFile,
  fileOf,
  isPage,
  Release,
  type Manifest,
  type ManifestChanges,
  type ReleaseFile,
} from './manifest';
import { PageCompiler, redirectHtml, type Means } from './page';

/** What a release is compared with: an earlier one, and the documents it was made from. */
export interface Earlier {
  readonly release: Release;
  readonly documents: Documents;
}

/** What publishing one state of a site comes to. */
export class CompiledSite {
  private whole: Manifest | undefined;

  constructor(
    /** What it was compiled beside. */
    readonly before: Release,
    /** What is another than in the earlier release; everything, without one. */
    readonly changes: ManifestChanges,
    /** The texts that may not be stored yet, by content. Pictures are stored already. */
    readonly texts: ReadonlyMap<string, string>,
    /** How many pages were made, and how many are as they were before. */
    readonly made: number,
    readonly kept: number,
  ) {}

  /** The file at a path. */
  file(path: string): ReleaseFile | undefined {
    return this.changes.has(path) ? this.changes.get(path) : this.before.file(path);
  }

  /** Every file of the release, put together when it is asked for: a plan needs only the changes. */
  get manifest(): Manifest {
    return (this.whole ??= this.before.with(this.changes));
  }
}

/**
 * Every file of a site's release. With an earlier release only what may have changed since is looked at: pages made
 * from something that changed, and paths at which something else may stand. The result is the same as without.
 * @param progress told after each page that was made: how many are done, of how many
 * @throws when a page cannot be linked
 */
export function compileSite(
  documents: Documents,
  means: Means,
  earlier?: Earlier,
  progress: (done: number, of: number) => void = () => undefined,
): CompiledSite {
  const before = earlier?.release ?? Release.none;
  const { addresses, redirects, gone } = earlier
    ? standingNow(documents, earlier)
    : { addresses: addressesOf(documents), redirects: redirectsOf(documents), gone: [] };
  const files = new Files(documents, means, before);
  addresses.forEach((address, i) => {
    files.addPage(address);
    progress(i + 1, addresses.length);
  });
  for (const [from, to] of redirects) files.addRedirect(from, to);
  for (const file of gone) files.set(file, undefined);
  files.settle();
  const pages = before.pages + files.morePages;
  const made = addresses.length;
  return new CompiledSite(before, files.changes, files.texts, made, pages - made);
}

/** What stands now at each path where something may be otherwise than in an earlier release. */
function standingNow(
  documents: Documents,
  { release, documents: then }: Earlier,
): { addresses: Address[]; redirects: Map<string, string>; gone: string[] } {
  const { things, paths } = changedBetween(then, documents);
  const wanted = new Set(paths);
  for (const thing of things)
    for (const file of release.madeFrom(thing)) wanted.add(addressOfFile(file)!);
  const addresses: Address[] = [];
  const redirects = new Map<string, string>();
  const gone: string[] = [];
  for (const path of [...wanted].sort()) {
    const address = addressesAt(documents, path).at(-1);
    const to = address ? undefined : redirectAt(documents, path);
    if (address) addresses.push(address);
    else if (to !== undefined) redirects.set(path, to);
    else if (release.file(fileOf(path))) gone.push(fileOf(path));
  }
  return { addresses, redirects, gone };
}

/** The files that are made, and what that leaves of those that were there before. */
class Files {
  readonly changes = new Map<string, ReleaseFile | undefined>();
  readonly texts = new Map<string, string>();
  /** How many pages there are more than before. */
  morePages = 0;
  private readonly compiler: PageCompiler;
  /** By path: how many pages more load a file than before, and what it is where it is known. */
  private readonly loads = new Map<string, { more: number; file?: ReleaseFile }>();

  constructor(
    private readonly documents: Documents,
    private readonly means: Means,
    private readonly before: Release,
  ) {
    this.compiler = new PageCompiler(documents, means);
  }

  addPage(address: Address): void {
    const page = this.compiler.compile(address);
    const { css } = page;
    this.texts.set(css.sha256, css.text);
    this.loaded(css.path, { sha256: css.sha256, mediaType: 'text/css; charset=utf-8' });
    const loads = [css.path];
    for (const id of page.depends) {
      const asset = docOf(this.documents, 'asset', id);
      if (!asset) continue;
      this.loaded(assetPath(asset), { sha256: asset.sha256, mediaType: asset.mediaType });
      loads.push(assetPath(asset));
    }
    const more = { depends: page.depends, loads: [...new Set(loads)].sort() };
    this.set(fileOf(address.path), this.text(page.html, more));
  }

  addRedirect(from: string, to: string): void {
    const { id, language } = this.documents.site;
    const more = { depends: [id], redirect: to };
    this.set(fileOf(from), this.text(redirectHtml(language, to), more));
  }

  set(path: string, file: ReleaseFile | undefined): void {
    const old = this.changes.has(path) ? this.changes.get(path) : this.before.file(path);
    this.morePages += Number(isPage(file)) - Number(isPage(old));
    for (const loaded of old?.loads ?? []) this.loadedMore(loaded, -1);
    for (const loaded of file?.loads ?? []) this.loadedMore(loaded, 1);
    this.changes.set(path, file);
  }

  /** What is loaded by pages now and was not, and what no page loads any more. */
  settle(): void {
    for (const [path, { more, file }] of this.loads) {
      const loading = this.before.loadedBy(path) + more;
      if (loading === 0) this.changes.set(path, undefined);
      else if (file && !this.before.file(path)) this.changes.set(path, file);
    }
  }

  private text(text: string, more: Partial<ReleaseFile>): ReleaseFile {
    const sha256 = this.means.sha256(text);
    this.texts.set(sha256, text);
    return { sha256, mediaType: 'text/html; charset=utf-8', ...more };
  }

  private loaded(path: string, file: ReleaseFile): void {
    const known = this.loads.get(path);
    if (known) known.file = file;
    else this.loads.set(path, { more: 0, file });
  }

  private loadedMore(path: string, more: number): void {
    const known = this.loads.get(path);
    if (known) known.more += more;
    else this.loads.set(path, { more });
  }
}
