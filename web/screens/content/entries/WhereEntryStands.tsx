import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { docOf, entryTitle, type EntryDoc } from '@sormet/core/model';
import { useDerived, useSync } from '../../../site/SiteProvider';
import { documentWords } from '../../../words';

/** How many are listed before the others are counted. */
const LISTED = 12;

/** The pages on which an entry stands, and the entries that refer to it, each a link. */
export function WhereEntryStands({ entry }: { entry: EntryDoc }): ReactNode {
  const { documents, reach } = useDerived();
  const { site } = useSync();
  const pages = new Set<string>();
  const entries = new Set<string>();
  const note = (from: string) => {
    const kind = documents.get(from)?.kind;
    if (kind === 'page') pages.add(from);
    if (kind === 'entry') entries.add(from);
  };
  for (const { from } of reach.usesOf(entry.id)) note(from);
  // Pages that list its type, or are made from it.
  for (const { from, kind } of reach.usesOf(entry.type))
    if (kind === 'lists' || kind === 'stands') {
      if (documents.get(from)?.kind === 'page') pages.add(from);
    }
  return (
    <>
      {pages.size > 0 ? (
        <div className="field">
          <span className="field-label">Read by</span>
          <ul className="entry-places">
            {[...pages].slice(0, LISTED).map((page) => (
              <li key={page}>
                <Link to={`/sites/${site}/bench/${page}`}>{documentWords(documents, page)}</Link>
              </li>
            ))}
            {pages.size > LISTED ? <li>and {pages.size - LISTED} more</li> : null}
          </ul>
        </div>
      ) : null}
      {entries.size > 0 ? (
        <div className="field">
          <span className="field-label">Referred to by</span>
          <ul className="entry-places">
            {[...entries].slice(0, LISTED).map((id) => {
              const other = docOf(documents, 'entry', id)!;
              return (
                <li key={id}>
                  <Link to={`/sites/${site}/content/${other.type}/${id}`}>
                    {entryTitle(documents, other)}
                  </Link>{' '}
                  <span className="quiet">
                    {docOf(documents, 'type', other.type)?.name.toLowerCase()}
                  </span>
                </li>
              );
            })}
            {entries.size > LISTED ? <li>and {entries.size - LISTED} more</li> : null}
          </ul>
        </div>
      ) : null}
    </>
  );
}
