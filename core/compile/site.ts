import {
  addressesAt,
  addressesOf,
  assetPath,
  docOf,
  leafPath,
  NO_MOMENT,
  redirectAt,
  redirectsOf,
  type Documents,
  type Moment,
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
  /** The moment at which it was made. */
  readonly at?: Moment;
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

/** What publishing one state of a site takes: which pages are to be made, and what else stands at which path. */
export interface Work {
  /** The paths of the pages, in order. */
  readonly pages: readonly string[];
  /** Where former paths lead, by path. */
  readonly redirects: readonly (readonly [from: string, to: string])[];
  /** The files that are there no more. */
  readonly gone: readonly string[];
}

/** Some pages of a release, as they were made; plain data but for the texts, so that they can be made elsewhere. */
export interface MadePages {
  /** The file of each page, by its path. */
  readonly pages: readonly (readonly [file: string, page: ReleaseFile])[];
  /** What they load, by path. */
  readonly loaded: Readonly<Record<string, ReleaseFile>>;
  /** Their texts and those of their stylesheets, by content. */
  readonly texts: ReadonlyMap<string, string>;
}

/**
 * Every file of a site's release. With an earlier release only what may have changed since is looked at: pages made
 * from something that changed, and paths at which something else may stand. The result is the same as without, and
 * the same as of the three steps it is made of, however the pages are shared out.
 * @param progress told after each page that was made: how many are done, of how many
 * @throws when a page cannot be linked
 */
export function compileSite(
  documents: Documents,
  means: Means,
  earlier?: Earlier,
  progress: (done: number, of: number) => void = () => undefined,
): CompiledSite {
  const work = workOf(documents, earlier, means.at);
  const made = makePages(documents, means, work.pages, (done) => progress(done, work.pages.length));
  return putTogether(documents, means.sha256, work, [made], earlier?.release);
}

/** The first step: what is to be done. */
export function workOf(documents: Documents, earlier?: Earlier, at = NO_MOMENT): Work {
  if (earlier) return standingNow(documents, earlier, at);
  const pages = addressesOf(documents, at).map(({ path }) => path);
  return { pages, redirects: [...redirectsOf(documents, at)], gone: [] };
}

/**
 * The second step: makes some of the pages.
 * @param paths of the pages to be made; one where no page stands (any more) makes none
 * @throws when a page cannot be linked
 */
export function makePages(
  documents: Documents,
  means: Means,
  paths: readonly string[],
  progress: (done: number) => void = () => undefined,
): MadePages {
  const compiler = new PageCompiler(documents, means);
  const pages: [string, ReleaseFile][] = [];
  const loaded: Record<string, ReleaseFile> = {};
  const texts = new Map<string, string>();
  paths.forEach((path, i) => {
    const address = addressesAt(documents, path, means.at).at(-1);
    if (address) {
      let last = 1;
      for (let number = 1; number <= last; number += 1) {
        const { html, css, script, depends, leaves } = compiler.compile(address, number);
        last = leaves;
        texts.set(css.sha256, css.text);
        loaded[css.path] = { sha256: css.sha256, mediaType: 'text/css; charset=utf-8' };
        const loads = new Set([css.path]);
        if (script) {
          texts.set(script.sha256, script.text);
          loaded[script.path] = { sha256: script.sha256, mediaType: JAVASCRIPT };
          loads.add(script.path);
        }
        for (const id of depends) {
          const asset = docOf(documents, 'asset', id);
          if (!asset) continue;
          loaded[assetPath(asset)] = { sha256: asset.sha256, mediaType: asset.mediaType };
          loads.add(assetPath(asset));
        }
        const sha256 = means.sha256(html);
        texts.set(sha256, html);
        const page = { sha256, mediaType: HTML, depends, loads: [...loads].sort() };
        const leafOf = number > 1 ? { leafOf: path } : {};
        pages.push([fileOf(leafPath(path, number)), { ...page, ...leafOf }]);
      }
    }
    progress(i + 1);
  });
  return { pages, loaded, texts };
}

/** The third step: the release that the parts come to, whoever made them. */
export function putTogether(
  documents: Documents,
  sha256: Means['sha256'],
  work: Work,
  parts: readonly MadePages[],
  before = Release.none,
): CompiledSite {
  const files = new Files(before);
  const texts = new Map<string, string>();
  for (const { pages, loaded, texts: made } of parts) {
    for (const [path, file] of Object.entries(loaded)) files.loaded(path, file);
    for (const [path, page] of pages) files.set(path, page);
    for (const [hash, text] of made) texts.set(hash, text);
  }
  const { id, language } = documents.site;
  for (const [from, to] of work.redirects) {
    const text = redirectHtml(language, to);
    const hash = sha256(text);
    texts.set(hash, text);
    files.set(fileOf(from), { sha256: hash, mediaType: HTML, depends: [id], redirect: to });
  }
  for (const file of work.gone) files.set(file, undefined);
  // A list that became shorter is divided over fewer pages, and one that is gone over none.
  const there = [...work.pages, ...work.redirects.map(([from]) => from)];
  for (const path of [...there, ...work.gone.flatMap((file) => addressOfFile(file) ?? [])])
    for (const file of before.leavesOf(path))
      if (!files.changes.has(file)) files.set(file, undefined);
  files.settle();
  const made = parts.reduce((sum, { pages }) => sum + pages.length, 0);
  const kept = before.pages + files.morePages - made;
  return new CompiledSite(before, files.changes, texts, made, kept);
}

const HTML = 'text/html; charset=utf-8';
/** RFC 9239, 6. */
const JAVASCRIPT = 'text/javascript; charset=utf-8';

/** What stands now at each path where something may be otherwise than in an earlier release. */
function standingNow(documents: Documents, earlier: Earlier, at: Moment): Work {
  const { release } = earlier;
  const { things, paths } = changedBetween(earlier.documents, documents, earlier.at, at);
  const wanted = new Set(paths);
  for (const thing of things)
    for (const file of release.madeFrom(thing))
      wanted.add(release.file(file)?.leafOf ?? addressOfFile(file)!);
  const pages: string[] = [];
  const redirects: [string, string][] = [];
  const gone: string[] = [];
  for (const path of [...wanted].sort()) {
    const address = addressesAt(documents, path, at).at(-1);
    const to = address ? undefined : redirectAt(documents, path, at);
    if (address) pages.push(path);
    else if (to !== undefined) redirects.push([path, to]);
    else if (release.file(fileOf(path))) gone.push(fileOf(path));
  }
  return { pages, redirects, gone };
}

/** The files of a release, and what that leaves of those that were there before. */
class Files {
  readonly changes = new Map<string, ReleaseFile | undefined>();
  /** How many pages there are more than before. */
  morePages = 0;
  /** By path: how many pages more load a file than before, and what it is where it is known. */
  private readonly loads = new Map<string, { more: number; file?: ReleaseFile }>();

  constructor(private readonly before: Release) {}

  set(path: string, file: ReleaseFile | undefined): void {
    const old = this.changes.has(path) ? this.changes.get(path) : this.before.file(path);
    this.morePages += Number(isPage(file)) - Number(isPage(old));
    for (const loaded of old?.loads ?? []) this.loadedMore(loaded, -1);
    for (const loaded of file?.loads ?? []) this.loadedMore(loaded, 1);
    this.changes.set(path, file);
  }

  /** Says what a file is that pages load. */
  loaded(path: string, file: ReleaseFile): void {
    const known = this.loads.get(path);
    if (known) known.file = file;
    else this.loads.set(path, { more: 0, file });
  }

  /** What is loaded by pages now and was not, and what no page loads any more. */
  settle(): void {
    for (const [path, { more, file }] of this.loads) {
      const loading = this.before.loadedBy(path) + more;
      if (loading === 0) this.changes.set(path, undefined);
      else if (file && !this.before.file(path)) this.changes.set(path, file);
    }
  }

  private loadedMore(path: string, more: number): void {
    const known = this.loads.get(path);
    if (known) known.more += more;
    else this.loads.set(path, { more });
  }
}
