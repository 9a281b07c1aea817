import { useState, type ReactNode } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { Button, Input } from 'antd';
import {
  entryTitle,
  own,
  pageForEntries,
  pathOf,
  type EntryDoc,
  type TypeDoc,
} from '@sormet/core/model';
import { groupsOf } from '../../../parts/grouped/groups-of';
import { Wrong } from '../../../parts/Wrong';
import { useDerived, useSync } from '../../../site/SiteProvider';
import { refusalWords } from '../../../words';
import { RemoveEntries } from './EntryActs';
import { EntryHistory } from './EntryHistory';
import { EntryTimes } from './EntryTimes';
import { FieldOfEntry, isNothing } from './FieldOfEntry';
import { WhereEntryStands } from './WhereEntryStands';

/** One entry as a form: its fields under their headings, what is missing, where it stands. */
export function EntryForm({
  type,
  entry,
  base,
}: {
  type: TypeDoc;
  entry: EntryDoc;
  base: string;
}): ReactNode {
  const { documents } = useDerived();
  const sync = useSync();
  const navigate = useNavigate();
  const [removing, setRemoving] = useState(false);
  const page = pageForEntries(documents, type.id);
  const missing = Object.keys(type.fields).filter(
    (id) => type.fields[id]!.required && isNothing(own(entry.values, id)),
  );
  const close = () =>
    void navigate({ pathname: `${base}/${type.id}`, search: window.location.search });
  return (
    <section className="entry-form" aria-label={`Entry ${entryTitle(documents, entry)}`}>
      <div className="screen-head">
        <h2>{entryTitle(documents, entry)}</h2>
        {page ? <PageBeside /> : null}
        <Button size="small" type="text" onClick={close}>
          close
        </Button>
      </div>
      {page ? (
        <p>
          Its page:{' '}
          <Link to={`/sites/${sync.site}/bench/${page.id}?entry=${entry.id}`}>
            {pathOf(page, entry)}
          </Link>
        </p>
      ) : null}
      {missing.length > 0 ? (
        <p className="entry-missing" role="note">
          Missing: {missing.map((id) => type.fields[id]!.label).join(', ')}.
        </p>
      ) : null}
      {groupsOf(type.fields, type.groups ?? {}, '').map(({ key, label, rows }) => (
        <div key={key} role={label === '' ? undefined : 'group'} aria-label={label || undefined}>
          {label === '' ? null : <h3>{label}</h3>}
          {rows.map(([id, field]) => (
            <FieldOfEntry key={id} type={type} entry={entry} id={id} field={field} />
          ))}
        </div>
      ))}
      <Slug type={type} entry={entry} />
      <EntryTimes entry={entry} />
      <WhereEntryStands entry={entry} />
      <EntryHistory entry={entry} />
      <Button size="small" danger onClick={() => setRemoving(true)}>
        Remove the entry
      </Button>
      <RemoveEntries
        open={removing}
        entries={[entry]}
        onDone={(isRemoved) => {
          setRemoving(false);
          if (isRemoved) close();
        }}
      />
    </section>
  );
}

/** Whether the page of the entry stands beside its form, in place of the table. It is in the address. */
function PageBeside(): ReactNode {
  const [asked, ask] = useSearchParams();
  const isOn = asked.get('beside') === 'page';
  return (
    <Button
      size="small"
      className="page-beside"
      aria-pressed={isOn}
      onClick={() =>
        ask((before) => {
          if (isOn) before.delete('beside');
          else before.set('beside', 'page');
          return before;
        })
      }
    >
      {isOn ? 'table beside' : 'its page beside'}
    </Button>
  );
}

function Slug({ type, entry }: { type: TypeDoc; entry: EntryDoc }): ReactNode {
  const { documents } = useDerived();
  const sync = useSync();
  const [slug, setSlug] = useState<string | null>(null);
  const [wrong, setWrong] = useState('');
  const page = pageForEntries(documents, type.id);
  const commit = () => {
    if (slug !== null && slug.trim() !== entry.slug) {
      const refusal = sync.attempt({
        name: 'setSlug',
        args: { entry: entry.id, slug: slug.trim() },
      });
      if (refusal) return setWrong(refusalWords(refusal));
    }
    setSlug(null);
    setWrong('');
  };
  const former = Object.keys(entry.former ?? {});
  return (
    <div className="field">
      <span className="field-label">Slug</span>
      <div>
        <Input
          aria-label="Slug"
          size="small"
          value={slug ?? entry.slug}
          status={wrong ? 'error' : ''}
          onChange={({ target }) => setSlug(target.value)}
          onBlur={commit}
          onPressEnter={commit}
          onKeyDown={(event) => {
            if (event.key !== 'Escape' || slug === null) return;
            event.stopPropagation();
            setSlug(null);
            setWrong('');
          }}
        />
        <Wrong words={wrong} />
        {page && former.length > 0 ? (
          <p className="field-help">
            {former.map((each) => pathOf(page, { ...entry, slug: each })).join(', ')}{' '}
            {former.length === 1 ? 'leads' : 'lead'} here.
          </p>
        ) : null}
      </div>
    </div>
  );
}
