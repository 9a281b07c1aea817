import {
  claim,
  docOf,
  own,
  pageForEntries,
  pathOf,
  sameJson,
  type Documents,
  type Moment,
} from '../model';
import { entryDated, TODAY } from '../value';
import { shortName } from '../edit';
import { saidText, say, type Said } from '../said';
import { changedBetween } from './changed';
import { addressOfFile, type ReleaseFile } from './manifest';
import type { CompiledSite, Earlier } from './site';

/** One page that a release would change, and why. */
export interface PlannedPage {
  readonly path: string;
  /** `later`: the same for now, and another when its time comes. */
  readonly what: 'new' | 'changed' | 'gone' | 'redirect' | 'later';
  readonly reasons: readonly Said[];
}

/**
 * The addresses where a compiled site differs from what was there before, each with its reasons: the documents that
 * changed and that the page was made from.
 * @param earlier what was live, whether or not the site was compiled beside it
 * @param at the moment at which it was compiled
 */
export function planOf(
  compiled: CompiledSite,
  documents: Documents,
  earlier?: Earlier,
  at?: Moment,
): PlannedPage[] {
  const plan: PlannedPage[] = [];
  const { things } = earlier
    ? changedBetween(earlier.documents, documents, earlier.at, at)
    : NOTHING;
  for (const file of pathsThatMayDiffer(compiled, earlier)) {
    const path = addressOfFile(file);
    if (path === undefined) continue;
    const old = earlier?.release.file(file);
    const now = compiled.file(file);
    if (old?.sha256 === now?.sha256) {
      const edited = now?.depends?.includes(TODAY) ? editedIn(now, documents, earlier) : [];
      if (edited.length > 0) plan.push({ path, what: 'later', reasons: edited });
      continue;
    }
    if (!now) plan.push({ path, what: 'gone', reasons: [say('no-page-here')] });
    else if (now.redirect !== undefined)
      plan.push({ path, what: 'redirect', reasons: [say('leads-to', { path: now.redirect })] });
    else if (!old || old.redirect !== undefined)
      plan.push({ path, what: 'new', reasons: [say('page-is-new')] });
    else
      plan.push({
        path,
        what: 'changed',
        reasons: reasonsOf(now, things, documents, earlier!.documents),
      });
  }
  if (earlier) plan.push(...comingLater(documents, earlier.documents, plan));
  return plan.sort((a, b) => (a.path < b.path ? -1 : 1));
}

/** What was edited of all that a page which goes by the day was made from: on another day it shows. */
function editedIn(file: ReleaseFile, documents: Documents, earlier?: Earlier): Said[] {
  if (!earlier) return [];
  const { things } = changedBetween(earlier.documents, documents);
  return (file.depends ?? []).some((thing) => things.has(thing))
    ? reasonsOf(file, things, documents, earlier.documents)
    : [];
}

/** The entries that come or go at a time and are others than in what is live: at their times that is made again as it is published now. */
function comingLater(
  documents: Documents,
  before: Documents,
  planned: readonly PlannedPage[],
): PlannedPage[] {
  const known = new Set(planned.map(({ path }) => path));
  const ids = new Set([...before.claiming(claim.timed), ...documents.claiming(claim.timed)]);
  return [...ids].flatMap((id): PlannedPage[] => {
    const [old, now] = [docOf(before, 'entry', id), docOf(documents, 'entry', id)];
    const entry = now ?? old;
    if (!entry || ((old?.draft ?? true) && (now?.draft ?? true))) return [];
    if (old && now && sameJson(old, now)) return [];
    const page = pageForEntries(documents, entry.type);
    const path = page ? pathOf(page, entry) : entry.slug;
    if (known.has(path)) return [];
    return [{ path, what: 'later', reasons: [say('entry-changed', { slug: entry.slug })] }];
  });
}

const NOTHING = { things: new Set<string>() };

/** The paths that were looked at; all there are, where what was live was made by another compiler. */
function pathsThatMayDiffer(compiled: CompiledSite, earlier: Earlier | undefined): Set<string> {
  const paths = new Set(compiled.changes.keys());
  if (earlier && compiled.before !== earlier.release)
    for (const path in earlier.release.manifest) paths.add(path);
  return paths;
}

function reasonsOf(
  file: ReleaseFile,
  changed: ReadonlySet<string>,
  documents: Documents,
  earlier: Documents,
): Said[] {
  const reasons = (file.depends ?? [])
    .filter((id) => changed.has(id))
    .flatMap((id) => reasonOf(id, documents, earlier) ?? []);
  const unique = new Map(reasons.map((reason) => [saidText(reason), reason]));
  if (unique.size === 0) return [say('made-from-changed')];
  return [...unique.keys()].sort().map((key) => unique.get(key)!);
}

function reasonOf(id: string, documents: Documents, earlier: Documents): Said | undefined {
  if (id.startsWith('entries:')) {
    const type = docOf(documents, 'type', id.slice('entries:'.length));
    return say('list-changed', { of: type?.plural.toLowerCase() ?? 'entries' });
  }
  if (id === TODAY) return say('day-changed');
  const dated = entryDated(id);
  if (dated !== undefined) {
    const slug = docOf(documents, 'entry', dated)?.slug;
    return slug === undefined ? undefined : say('entry-dates', { slug });
  }
  if (id.startsWith('path:') || id.startsWith('pages:')) return say('linked-address-changed');
  const [name, record] = id.split('#');
  const doc = documents.get(name!) ?? earlier.get(name!);
  if (record !== undefined && doc?.kind === 'tags')
    return say('tag-style-changed', { tag: record });
  if (record !== undefined && doc?.kind === 'tokens') {
    const before = docOf(earlier, 'tokens', doc.id);
    const token = own(doc.tokens, record) ?? (before && own(before.tokens, record));
    return say('token-changed', { token: token?.name ?? say('gone-name') });
  }
  switch (doc?.kind) {
    case 'page':
      return say('page-changed', { path: doc.path });
    case 'component':
      return say('definition-changed', { component: shortName(doc.name) });
    case 'entry':
      return earlier.get(doc.id) === doc
        ? say('entry-time', { slug: doc.slug })
        : say('entry-changed', { slug: doc.slug });
    case 'tokens':
      return say('tokens-changed');
    case 'tags':
      return say('tag-styles-changed');
    case 'style':
      return say('style-changed', { style: doc.name });
    case 'site':
      return say('settings-changed');
    case 'asset':
      return say('file-changed', { file: doc.name });
    case 'type':
      return say('type-changed', { type: doc.name });
    default:
      return undefined;
  }
}
