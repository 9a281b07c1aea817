import { docOf, own, type Documents } from '../model';
import { shortName } from '../edit';
import { changedBetween } from './changed';
import { addressOfFile, type ReleaseFile } from './manifest';
import type { CompiledSite, Earlier } from './site';

/** One page that a release would change, and why. */
export interface PlannedPage {
  readonly path: string;
  readonly what: 'new' | 'changed' | 'gone' | 'redirect';
  readonly reasons: readonly string[];
}

/**
 * The addresses where a compiled site differs from what was there before, each with its reasons: the documents that
 * changed and that the page was made from, in words.
 * @param earlier what was live, whether or not the site was compiled beside it
 */
export function planOf(
  compiled: CompiledSite,
  documents: Documents,
  earlier?: Earlier,
): PlannedPage[] {
  const plan: PlannedPage[] = [];
  const { things } = earlier ? changedBetween(earlier.documents, documents) : NOTHING;
  for (const file of pathsThatMayDiffer(compiled, earlier)) {
    const path = addressOfFile(file);
    if (path === undefined) continue;
    const old = earlier?.release.file(file);
    const now = compiled.file(file);
    if (old?.sha256 === now?.sha256) continue;
    if (!now) plan.push({ path, what: 'gone', reasons: ['no page has this path any more'] });
    else if (now.redirect !== undefined)
      plan.push({ path, what: 'redirect', reasons: [`leads to ${now.redirect} now`] });
    else if (!old || old.redirect !== undefined)
      plan.push({ path, what: 'new', reasons: ['the page is new'] });
    else
      plan.push({
        path,
        what: 'changed',
        reasons: reasonsOf(now, things, documents, earlier!.documents),
      });
  }
  return plan.sort((a, b) => (a.path < b.path ? -1 : 1));
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
