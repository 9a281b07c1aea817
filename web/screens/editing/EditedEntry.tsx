import type { ReactNode } from 'react';
import { docOf, entryTitle, type EntryDoc } from '@sormet/core/model';
import { groupsOf } from '../../parts/grouped/groups-of';
import { useDerived } from '../../site/SiteProvider';
import { EntryTimes } from '../content/entries/EntryTimes';
import { FieldOfEntry } from '../content/entries/FieldOfEntry';

/** What the entry of a page holds, as a form: the page shows it as it is written. */
export function EditedEntry({ entry }: { entry: EntryDoc }): ReactNode {
  const { documents } = useDerived();
  const type = docOf(documents, 'type', entry.type);
  if (!type) return null;
  return (
    <section className="entry-form" aria-label={`Entry ${entryTitle(documents, entry)}`}>
      <h2>{entryTitle(documents, entry)}</h2>
      {groupsOf(type.fields, type.groups ?? {}, '').map(({ key, label, rows }) => (
        <div key={key} role={label === '' ? undefined : 'group'} aria-label={label || undefined}>
          {label === '' ? null : <h3>{label}</h3>}
          {rows.map(([id, field]) => (
            <FieldOfEntry key={id} type={type} entry={entry} id={id} field={field} />
          ))}
        </div>
      ))}
      <EntryTimes entry={entry} />
    </section>
  );
}
