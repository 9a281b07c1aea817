import { useState, type ReactNode } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { Button, Input } from 'antd';
import {
  entryTitle,
  own,
  pageForEntries,
  pathOf,
  sameJson,
  type EntryDoc,
  type Field,
  type FieldId,
  type TypeDoc,
  type Typed,
} from '@sormet/core/model';
import { freeSlugs, hasBeginningSlug, slugFor } from '@sormet/core/ready';
import { groupsOf } from '../../../parts/grouped/groups-of';
import { Wrong } from '../../../parts/Wrong';
import { useDerived, useSync } from '../../../site/SiteProvider';
import { LimitWords } from '../../../values/LimitWords';
import { ValueEditor } from '../../../values/ValueEditor';
import { refusalWords } from '../../../words';
import { RemoveEntries } from './EntryActs';
import { EntryHistory } from './EntryHistory';
import { EntryTimes } from './EntryTimes';
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

function isNothing(value: Typed | undefined): boolean {
  const held = value?.value ?? null;
  return held === null || held === '' || (Array.isArray(held) && held.length === 0);
}

/** A field of an entry: its editor, what it is for, what is wrong with what stands there. */
function FieldOfEntry({
  type,
  entry,
  id,
  field,
}: {
  type: TypeDoc;
  entry: EntryDoc;
  id: FieldId;
  field: Field;
}): ReactNode {
  const { documents } = useDerived();
  const sync = useSync();
  const [session] = useState(() => `${entry.id} ${id} ${Date.now()}`);
  const value = own(entry.values, id);
  const nameAddress = () => {
    // An address that nobody has typed yet follows what it is made from, once that is typed.
    if (!entry.draft || !hasBeginningSlug(type, entry)) return;
    const wanted = slugFor(documents, type, entry.values);
    if (wanted === '') return;
    const slug = freeSlugs(documents, type.id, entry.id).take(wanted);
    if (slug !== entry.slug) sync.edit({ name: 'setSlug', args: { entry: entry.id, slug } });
  };
  const isOfSlug = (type.slugFrom ?? [type.title]).includes(id);
  const twin =
    field.unique && !isNothing(value)
      ? twinOf(documents.all('entry'), entry, id, value)
      : undefined;
  return (
    <div className="field">
      <span className="field-label" title={field.help}>
        {field.label}
        {field.required ? (
          <span className="needed" title="must have a value">
            {' '}
            *
          </span>
        ) : null}
      </span>
      <div>
        <div className="field-editor" onBlur={isOfSlug ? nameAddress : undefined}>
          <ValueEditor
            type={field.type}
            value={value}
            label={field.label}
            onChange={(typed: Typed, group) =>
              sync.edit(
                { name: 'setField', args: { entry: entry.id, field: id, value: typed } },
                { group: group === null ? null : `${session} ${group}` },
              )
            }
          />
          <LimitWords type={field.type} value={value} />
          {!isNothing(value) && field.type.kind !== 'text' ? (
            <Button
              size="small"
              type="text"
              onClick={() =>
                sync.edit({ name: 'setField', args: { entry: entry.id, field: id, value: null } })
              }
            >
              empty
            </Button>
          ) : null}
        </div>
        {field.help ? <p className="field-help">{field.help}</p> : null}
        {twin ? (
          <Wrong
            words={`${entryTitle(documents, twin)} has the same: it should be of one alone.`}
          />
        ) : null}
      </div>
    </div>
  );
}

/** Another entry of the type that holds the same. */
function twinOf(
  entries: readonly EntryDoc[],
  entry: EntryDoc,
  field: FieldId,
  value: Typed | undefined,
): EntryDoc | undefined {
  return entries.find(
    (each) =>
      each.id !== entry.id && each.type === entry.type && sameJson(own(each.values, field), value),
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
