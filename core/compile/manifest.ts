/** One file of a release. */
export interface ReleaseFile {
  readonly sha256: string;
  readonly mediaType: string;
  /** For pages and former paths: what they were made from (see `Recorded`). */
  readonly depends?: readonly string[];
  /** For a former path: where it leads. */
  readonly redirect?: string;
  /** For the second and further ones of the pages that a list is divided over: the path of the first. */
  readonly leafOf?: string;
  /** For pages: the files they load. */
  readonly loads?: readonly string[];
}

/** A release: every file by its path, which for pages is that of an `index.html`. */
export type Manifest = Readonly<Record<string, ReleaseFile>>;

/** What is another in one release than in an earlier: by path the file there is now, `undefined` for none. */
export type ManifestChanges = ReadonlyMap<string, ReleaseFile | undefined>;

/**
 * The version of how pages are made and of what is noted about them. Pages of a release that another version
 * made are never taken over, since what they note may be less than what they were made from.
 */
export const COMPILER = 17;

/** The path of the file that serves an address. */
export function fileOf(path: string): string {
  return path === '/' ? '/index.html' : `${path}/index.html`;
}

/** The address that a file serves, `undefined` for a file that is no page. */
export function addressOfFile(file: string): string | undefined {
  if (!file.endsWith('/index.html')) return undefined;
  return file === '/index.html' ? '/' : file.slice(0, -'/index.html'.length);
}

/** Whether a file is a page, and not a former path or something that pages load. */
export function isPage(file: ReleaseFile | undefined): boolean {
  return file?.depends !== undefined && file.redirect === undefined;
}

function add(lists: Map<string, string[]>, key: string, path: string): void {
  const list = lists.get(key);
  if (list) list.push(path);
  else lists.set(key, [path]);
}

/**
 * A release with what the next one asks of it at hand: which files were made from a thing, and how many pages load
 * a file. Made once for each release; it never changes.
 */
export class Release {
  static readonly none = new Release({});
  private readonly byThing = new Map<string, string[]>();
  private readonly loading = new Map<string, number>();
  private readonly leaves = new Map<string, string[]>();
  /** How many pages it holds. */
  readonly pages: number;

  constructor(readonly manifest: Manifest) {
    let pages = 0;
    for (const path in manifest) {
      const file = manifest[path]!;
      if (isPage(file)) pages += 1;
      for (const thing of file.depends ?? []) add(this.byThing, thing, path);
      if (file.leafOf !== undefined) add(this.leaves, file.leafOf, path);
      for (const loaded of file.loads ?? [])
        this.loading.set(loaded, (this.loading.get(loaded) ?? 0) + 1);
    }
    this.pages = pages;
  }

  /** What stands at a path of the release, as `about/index.html`; nothing where nothing does. */
  file(path: string): ReleaseFile | undefined {
    return Object.hasOwn(this.manifest, path) ? this.manifest[path] : undefined;
  }

  /** The paths of the files that were made from a thing. */
  madeFrom(thing: string): readonly string[] {
    return this.byThing.get(thing) ?? [];
  }

  /** The paths of the files of the further pages that the lists of a page are divided over. */
  leavesOf(path: string): readonly string[] {
    return this.leaves.get(path) ?? [];
  }

  /** How many pages load a file. */
  loadedBy(path: string): number {
    return this.loading.get(path) ?? 0;
  }

  /** The manifest of this release with changes, by path. */
  with(changes: ManifestChanges): Manifest {
    const files = new Map(Object.entries(this.manifest));
    for (const [path, file] of changes)
      if (file) files.set(path, file);
      else files.delete(path);
    return Object.fromEntries([...files].sort(([a], [b]) => (a < b ? -1 : 1)));
  }
}
