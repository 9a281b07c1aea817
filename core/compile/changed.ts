import {
  claim,
  docOf,
  isDue,
  NO_MOMENT,
  own,
  pathsOfEntry,
  pathsOfPage,
  sameJson,
  type Doc,
  type Documents,
} from '../model';
import { datesOf, recordOf, TODAY, tokensOfType, wordBaseOf, WORD_STYLES } from '../value';

/** What changed between two states: in the words of `Recorded`, and the paths where something else may stand now. */
export interface Changed {
  /** Documents, records of them, lists, pages of a type, places of pages and entries. */
  readonly things: ReadonlySet<string>;
  readonly paths: ReadonlySet<string>;
}

/**
 * What changed between two states, each at its moment, by looking only at the documents that differ and at those that are
 * seen for some time only.
 */
export function changedBetween(
  before: Documents,
  after: Documents,
  then = NO_MOMENT,
  at = NO_MOMENT,
): Changed {
  const things = new Set<string>();
  const paths = new Set<string>();
  if (then.today !== at.today) things.add(TODAY);
  if (then.dates !== at.dates)
    for (const entry of new Set([then, at].flatMap(({ dates }) => Object.keys(dates ?? {}))))
      if (!sameJson(own(then.dates ?? {}, entry), own(at.dates ?? {}, entry)))
        things.add(datesOf(entry));
  if (then.now !== at.now)
    for (const id of new Set([...before.claiming(claim.timed), ...after.claiming(claim.timed)])) {
      const [old, now] = [docOf(before, 'entry', id), docOf(after, 'entry', id)];
      if ((old && isDue(old, then)) === (now && isDue(now, at))) continue;
      things.add(id).add('path:' + id);
      for (const entry of [old, now]) if (entry) things.add('entries:' + entry.type);
      for (const path of [...pathsOf(before, old), ...pathsOf(after, now)]) paths.add(path);
    }
  for (const { id, before: old, after: now } of after.differenceFrom(before)) {
    if (old && now && readsTheSame(old, now)) continue;
    const moved = whereabouts(old) !== whereabouts(now);
    things.add(id);
    if (moved) things.add('path:' + id);
    for (const record of changedRecords(old, now)) things.add(recordOf(id, record));
    for (const type of typesOfTokens(old, now)) things.add(tokensOfType(id, type));
    if ((old ?? now)?.kind === 'style' && wordBaseOf(old) !== wordBaseOf(now))
      things.add(WORD_STYLES);
    for (const doc of [old, now]) {
      if (doc?.kind === 'entry') things.add('entries:' + doc.type);
      if (doc?.kind === 'page' && doc.entries && moved) things.add('pages:' + doc.entries);
    }
    if (!moved && formerly(old) === formerly(now)) continue;
    for (const path of pathsOf(before, old)) paths.add(path);
    for (const path of pathsOf(after, now)) paths.add(path);
  }
  return { things, paths };
}

/** What is there for whoever designs, and in no page. */
const NOT_PUBLISHED: ReadonlySet<string> = new Set(['guides', 'lines']);

/** Whether two states of a document differ in nothing that any page is made of. */
function readsTheSame(old: Doc, now: Doc): boolean {
  const [before, after] = [new Map(Object.entries(old)), new Map(Object.entries(now))];
  for (const member of new Set([...before.keys(), ...after.keys()]))
    if (!NOT_PUBLISHED.has(member) && !sameJson(before.get(member), after.get(member)))
      return false;
  return true;
}

/** The tokens and themes, or tags, that differ between two states of the document that holds them. */
function changedRecords(old: Doc | undefined, now: Doc | undefined): string[] {
  const recordsOf = (doc: Doc | undefined): Readonly<Record<string, unknown>> =>
    doc?.kind === 'tokens'
      ? { ...doc.tokens, ...doc.themes }
      : doc?.kind === 'tags'
        ? doc.tags
        : {};
  const [before, after] = [recordsOf(old), recordsOf(now)];
  return [...new Set([...Object.keys(before), ...Object.keys(after)])].filter(
    (record) => own(before, record) !== own(after, record),
  );
}

/** The types of which a token came, went or is of another now. */
function typesOfTokens(old: Doc | undefined, now: Doc | undefined): Set<string> {
  const tokensIn = (doc: Doc | undefined) => (doc?.kind === 'tokens' ? doc.tokens : {});
  const [before, after] = [tokensIn(old), tokensIn(now)];
  const types = new Set<string>();
  for (const id of new Set([...Object.keys(before), ...Object.keys(after)])) {
    const [was, is] = [own(before, id)?.type, own(after, id)?.type];
    if (was === is) continue;
    for (const type of [was, is]) if (type !== undefined) types.add(type);
  }
  return types;
}

/** Everything that decides where a page or an entry is found. */
function whereabouts(doc: Doc | undefined): string {
  if (doc?.kind === 'page') return `${doc.path} ${doc.draft} ${doc.entries}`;
  if (doc?.kind === 'entry')
    return `${doc.slug} ${doc.draft} ${doc.type} ${doc.times?.from} ${doc.times?.until}`;
  return '';
}

function formerly(doc: Doc | undefined): string {
  if (doc?.kind !== 'page' && doc?.kind !== 'entry') return '';
  return Object.keys(doc.former ?? {})
    .sort()
    .join(' ');
}

function pathsOf(documents: Documents, doc: Doc | undefined): readonly string[] {
  if (doc?.kind === 'page') return pathsOfPage(documents, doc);
  return doc?.kind === 'entry' ? pathsOfEntry(documents, doc) : [];
}
