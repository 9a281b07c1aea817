import { useDeferredValue, useMemo, type ReactNode } from 'react';
import { Link } from 'react-router';
import {
  docOf,
  entryTitle,
  sameJson,
  type Documents,
  type Expression,
  type NodeId,
  type TreeDoc,
  type TypeSpec,
} from '@sormet/core/model';
import { whereEmpty, type EmptyAt } from '@sormet/core/edit';
import type { ExpressionName } from '@sormet/core/expression';
import { useDerived, useSync } from '../../site/SiteProvider';
import { count, documentWords, valueWords } from '../../words';

/** How many places are listed. */
const LISTED = 12;

/** For which entries and instances what is worked out gives nothing, and what is missing there; each leads to it. */
export function WhereEmpty({
  doc,
  node,
  wanted,
  source,
  names,
}: {
  doc: TreeDoc;
  node: NodeId | null;
  wanted: TypeSpec;
  source: Expression;
  names: readonly ExpressionName[];
}): ReactNode {
  const { documents, data, linker, reach } = useDerived();
  const sync = useSync();
  // Told a moment after: to look at ten thousand entries is more than a letter may wait for.
  const looked = useDeferredValue(source);
  const { tried, isPart, empty } = useMemo(() => {
    const placesOf = (component: string) => reach.placesOf(component);
    const site = { documents, data, linker, placesOf };
    return whereEmpty(site, { doc: doc.id, node, wanted }, looked);
  }, [documents, data, linker, reach, doc.id, node, wanted, looked]);
  if (tried === 0) return null;
  const wholly = empty.length === tried;
  const all = `${isPart ? 'the first ' : ''}${count(tried, 'place')}`;
  if (empty.length === 0)
    return (
      <p className="quiet">
        It gives something at {tried === 1 ? 'the one place' : `all of ${all}`} where it shows.
      </p>
    );
  return (
    <div className="work-empty">
      <p>
        It gives nothing at{' '}
        <b>
          {wholly
            ? tried === 1
              ? 'the one place where it shows'
              : `any of ${all}`
            : `${empty.length} of ${all}`}
        </b>
        :
      </p>
      <ul>
        {empty.slice(0, LISTED).map((each, i) => (
          <li key={i}>
            <Link target="_blank" to={addressOf(sync.site, each)}>
              {placeWords(documents, each)}
            </Link>
            <span className="quiet"> {readWords(documents, each, names)}</span>
          </li>
        ))}
        {empty.length > LISTED ? <li className="quiet">and {empty.length - LISTED} more</li> : null}
      </ul>
    </div>
  );
}

function addressOf(site: string, { opened, entry, through }: EmptyAt): string {
  const search = entry === undefined ? '' : `?entry=${entry}`;
  return `/sites/${site}/bench/${opened}${search}${through === null ? '' : `#${through}`}`;
}

function placeWords(documents: Documents, { opened, entry, item }: EmptyAt): string {
  const title = (id: string | undefined) => {
    const found = id === undefined ? undefined : docOf(documents, 'entry', id);
    return found ? [entryTitle(documents, found)] : [];
  };
  return [...title(item), ...title(entry), documentWords(documents, opened)].join(', ');
}

/** What is read there, under the names that things have here: what is empty alone, where something is. */
function readWords(
  documents: Documents,
  { reads }: EmptyAt,
  names: readonly ExpressionName[],
): string {
  const missing = reads.filter(({ value }) => value === null);
  return (missing.length > 0 ? missing : reads)
    .flatMap(({ source, value }) => {
      const label = names.find((name) => sameJson(name.source, source))?.label;
      if (label === undefined) return [];
      return `${label} is ${value === null ? 'empty' : valueWords(documents, value)}`;
    })
    .join(', ');
}
