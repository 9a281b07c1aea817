import type { Doc } from './documents';
import { componentsIn } from './placed';
import { readsDates } from './dated';
import { SharedMap } from './shared-map';

/** The part of a page's path that stands for the slug of each entry. */
export const SLUG_PART = '<slug>';

/** Everything that a document may claim in its site, as a key: a path, a slug, a name, now or formerly; what it places. */
export const claim = {
  /** A page's path as it is stored: for a page made from entries it ends in `<slug>`. */
  path: (path: string) => `path ${path}`,
  formerPath: (path: string) => `former path ${path}`,
  /** The paths straight below one. */
  below: (path: string) => `below ${path}`,
  /** Being the page of each entry of a type. */
  pageOf: (type: string) => `page of ${type}`,
  slug: (type: string, slug: string) => `slug ${type} ${slug}`,
  formerSlug: (type: string, slug: string) => `former slug ${type} ${slug}`,
  component: (name: string) => `component ${name}`,
  /** Being seen for some time only. */
  timed: 'timed',
  /** Reading the days of entries. */
  dated: 'dated',
  /** Placing a component. */
  places: (component: string) => `places ${component}`,
} as const;

/** What a document claims. */
function claimsOf(doc: Doc | undefined): readonly string[] {
  switch (doc?.kind) {
    case 'page': {
      const { path, entries, former } = doc;
      return [
        claim.path(path),
        ...(path.endsWith(SLUG_PART) ? [] : [claim.below(partsOf(path).above)]),
        ...(entries === null ? [] : [claim.pageOf(entries)]),
        ...Object.keys(former).map(claim.formerPath),
        ...componentsIn(doc.nodes).map(claim.places),
        ...(readsDates(doc) ? [claim.dated] : []),
      ];
    }
    case 'entry':
      return [
        claim.slug(doc.type, doc.slug),
        ...Object.keys(doc.former ?? {}).map((slug) => claim.formerSlug(doc.type, slug)),
        ...(doc.times ? [claim.timed] : []),
      ];
    case 'component':
      return [
        claim.component(doc.name),
        ...componentsIn(doc.nodes).map(claim.places),
        ...(readsDates(doc) ? [claim.dated] : []),
      ];
    default:
      return [];
  }
}

/** A path as what is above it and its last part: `/sheds` and `millgate` of `/sheds/millgate`. */
export function partsOf(path: string): { above: string; last: string } {
  const slash = path.lastIndexOf('/');
  return { above: path.slice(0, slash), last: path.slice(slash + 1) };
}

/** Who claims what among the documents of one state: by claim the ids, sorted. */
export class Claims {
  private constructor(private readonly holders: SharedMap<readonly string[]>) {}

  /** The claims of documents, looked at one by one. */
  static of(documents: Iterable<Doc>): Claims {
    const holders = new Map<string, string[]>();
    for (const doc of documents)
      for (const each of claimsOf(doc)) {
        const list = holders.get(each);
        if (list) list.push(doc.id);
        else holders.set(each, [doc.id]);
      }
    for (const list of holders.values()) if (list.length > 1) list.sort();
    return new Claims(SharedMap.of<readonly string[]>(holders));
  }

  /** The ids of the documents with this claim. */
  of(wanted: string): readonly string[] {
    return this.holders.get(wanted) ?? NOBODY;
  }

  /** These after some documents became others, all at once: most changes leave all claims as they are. */
  after(
    changed: Iterable<readonly [id: string, before: Doc | undefined, now: Doc | undefined]>,
  ): Claims {
    const now = new Map<string, Set<string>>();
    const holding = (wanted: string): Set<string> => {
      let held = now.get(wanted);
      if (!held) now.set(wanted, (held = new Set(this.of(wanted))));
      return held;
    };
    for (const [id, before, doc] of changed) {
      const old = new Set(claimsOf(before));
      const claims = new Set(claimsOf(doc));
      for (const each of old) if (!claims.has(each)) holding(each).delete(id);
      for (const each of claims) if (!old.has(each)) holding(each).add(id);
    }
    if (now.size === 0) return this;
    const changes = new Map<string, readonly string[] | undefined>();
    for (const [each, held] of now)
      changes.set(
        each,
        held.size === 0 ? undefined : held.size === 1 ? [...held] : [...held].sort(),
      );
    return new Claims(this.holders.changed(changes));
  }
}

const NOBODY: readonly string[] = Object.freeze([]);
