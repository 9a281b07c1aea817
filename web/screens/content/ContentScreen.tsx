import { useState, type ReactNode } from 'react';
import { NavLink, useParams, useSearchParams } from 'react-router';
import { allOf, docOf, pageForEntries } from '@sormet/core/model';
import { useDerived, useSync } from '../../site/SiteProvider';
import { EntriesOfType } from './entries/EntriesOfType';
import { EntryForm } from './entries/EntryForm';
import { EntryPage } from './entries/EntryPage';
import { FieldsOfType } from './types/FieldsOfType';
import { TakeIn } from './taking/TakeIn';
import { bringFiles, type Brought } from './taking/read-file';
import { useDroppedFiles } from '../../parts/use-dropped-files';
import { Wrong } from '../../parts/Wrong';
import { MakeType } from './types/MakeType';
import './ContentScreen.css';
import '../screens.css';

/** Content: its types, the entries of one as a table with one as a form beside it, or its fields. */
export function ContentScreen({ part = 'entries' }: { part?: 'entries' | 'fields' }): ReactNode {
  const { type: typeId, entry: entryId } = useParams();
  const [asked] = useSearchParams();
  const { documents } = useDerived();
  const sync = useSync();
  const base = `/sites/${sync.site}/content`;
  const types = allOf(documents, 'type').toSorted((a, b) => (a.plural < b.plural ? -1 : 1));
  const type = types.find(({ id }) => id === typeId) ?? types[0];
  const entry = entryId === undefined ? undefined : docOf(documents, 'entry', entryId);
  const taking = useDropped();
  if (!type)
    return (
      <div className="first-steps" {...taking.drop}>
        There is no content yet. A content type says what its entries hold: people, places, news. It
        begins with a title. Or drop a file here: rows as CSV or JSON become a type with entries.{' '}
        <MakeType first />
        <Wrong as="p" words={taking.wrong} />
        {taking.brought ? (
          <TakeIn brought={taking.brought} type={undefined} onClose={taking.close} />
        ) : null}
      </div>
    );
  const counts = new Map<string, number>();
  for (const each of allOf(documents, 'entry'))
    counts.set(each.type, (counts.get(each.type) ?? 0) + 1);
  const isOpen = part === 'entries' && entry?.type === type.id;
  const page =
    isOpen && asked.get('beside') === 'page' ? pageForEntries(documents, type.id) : undefined;
  return (
    <div
      className={`content${isOpen ? ' with-entry' : ''}${taking.isOver ? ' is-over' : ''}`}
      {...taking.drop}
    >
      <nav className="content-types" aria-label="Content types">
        <h1>Content</h1>
        {types.map(({ id, plural }) => (
          <NavLink key={id} to={`${base}/${id}`} className={id === type.id ? 'active' : ''}>
            {plural} <span className="quiet">{counts.get(id) ?? 0}</span>
          </NavLink>
        ))}
        <MakeType />
      </nav>
      <div className="content-part">
        <div className="content-parts" role="navigation" aria-label={type.plural}>
          <h2>{type.plural}</h2>
          <NavLink end={!isOpen} to={`${base}/${type.id}`}>
            Entries
          </NavLink>
          <NavLink to={`${base}/${type.id}/fields`}>Fields</NavLink>
        </div>
        <Wrong as="p" words={taking.wrong} />
        {part === 'fields' ? (
          <FieldsOfType key={type.id} type={type} />
        ) : isOpen && page ? (
          <EntryPage key={entry.id} page={page} entry={entry} />
        ) : (
          <EntriesOfType
            key={type.id}
            type={type}
            chosen={isOpen ? entry : undefined}
            onFiles={taking.take}
            onBrought={taking.bring}
          />
        )}
      </div>
      {isOpen ? <EntryForm key={entry.id} type={type} entry={entry} base={base} /> : null}
      {taking.brought ? (
        <TakeIn brought={taking.brought} type={type} onClose={taking.close} />
      ) : null}
    </div>
  );
}

/** The same with the fields of the type. */
export function FieldsScreen(): ReactNode {
  return <ContentScreen part="fields" />;
}

/** Files that are dropped anywhere on the screen, on their way in. */
function useDropped() {
  const [brought, setBrought] = useState<Brought | null>(null);
  const [wrong, setWrong] = useState('');
  const take = (files: readonly File[]) => {
    setWrong('');
    void bringFiles(files).then((found) =>
      typeof found === 'string' ? setWrong(found) : setBrought(found),
    );
  };
  // A cell for pictures takes them itself.
  const { isOver, drop } = useDroppedFiles(take);
  return {
    brought,
    wrong,
    isOver,
    take,
    bring: setBrought,
    close: () => setBrought(null),
    drop,
  };
}
