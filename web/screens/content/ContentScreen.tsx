import { useState, type ReactNode } from 'react';
import { Link, NavLink, useNavigate, useParams } from 'react-router';
import { Button, Input, Popconfirm, Switch } from 'antd';
import {
  allOf,
  docOf,
  entryTitle,
  FORMAT,
  inOrder,
  newId,
  pageForEntries,
  pathOf,
  type EntryDoc,
  type TypeDoc,
  type Typed,
  own,
} from '@sormet/core/model';
import { HeadedTable } from '../../parts/HeadedTable';
import { useDerived, useSync } from '../../site/SiteProvider';
import { MakeType } from './MakeType';
import { freeSlug, slugOf } from '../slug';
import { count } from '../../words';
import { ShowValue } from '../../values/show-value';
import { LimitWords } from '../../values/LimitWords';
import { ValueEditor } from '../../values/ValueEditor';
import './ContentScreen.css';
import '../screens.css';

/** Content: its types, the entries of one as a table, one entry as a form beside it. */
export function ContentScreen(): ReactNode {
  const { type: typeId, entry: entryId } = useParams();
  const { documents } = useDerived();
  const sync = useSync();
  const base = `/sites/${sync.site}/content`;
  const types = allOf(documents, 'type').toSorted((a, b) => (a.plural < b.plural ? -1 : 1));
  const type =
    types.find(({ id }) => id === typeId) ?? types.find(({ id }) => id === 'shed') ?? types[0];
  const entry = entryId === undefined ? undefined : docOf(documents, 'entry', entryId);
  if (!type)
    return (
      <div className="first-steps">
        There is no content yet. A content type says what its entries hold: people, places, news. It
        begins with a title. <MakeType first />
      </div>
    );
  return (
    <div className={entry ? 'content with-entry' : 'content'}>
      <nav className="content-types" aria-label="Content types">
        <h1>Content</h1>
        {types.map(({ id, plural }) => (
          <NavLink key={id} to={`${base}/${id}`} className={id === type.id ? 'active' : ''}>
            {plural}{' '}
            <span className="quiet">
              {allOf(documents, 'entry').filter((each) => each.type === id).length}
            </span>
          </NavLink>
        ))}
        <MakeType />
        <TypeFields type={type} />
      </nav>
      <EntryTable type={type} base={base} chosen={entry} />
      {entry ? <EntryForm key={entry.id} type={type} entry={entry} base={base} /> : null}
    </div>
  );
}

/** How the slug of a new entry begins. */
function stemOf(type: TypeDoc): string {
  return `new-${slugOf(type.name, 'entry')}`;
}

/** Whether an entry still has the slug with which it began. */
function isNew(type: TypeDoc, { slug }: EntryDoc): boolean {
  const stem = stemOf(type);
  return slug.startsWith(stem) && /^(-\d+)?$/.test(slug.slice(stem.length));
}

const slugsOf = (entries: readonly EntryDoc[]) => entries.map(({ slug }) => slug);

/** The fields of a type as they are. */
function TypeFields({ type }: { type: TypeDoc }): ReactNode {
  const { documents } = useDerived();
  return (
    <section className="type-fields">
      <h2>Fields of {type.name}</h2>
      <dl>
        {inOrder(type.fields).map(([id, field]) => (
          <div key={id}>
            <dt>{field.label}</dt>
            <dd>
              {field.type.kind === 'entry' && field.type.of
                ? (docOf(documents, 'type', field.type.of)?.name.toLowerCase() ?? 'gone')
                : field.type.kind}
              {id === type.title ? ', title' : ''}
            </dd>
          </div>
        ))}
      </dl>
    </section>
  );
}

function EntryTable({
  type,
  base,
  chosen,
}: {
  type: TypeDoc;
  base: string;
  chosen: EntryDoc | undefined;
}): ReactNode {
  const { documents } = useDerived();
  const sync = useSync();
  const navigate = useNavigate();
  const entries = allOf(documents, 'entry')
    .filter((entry) => entry.type === type.id)
    .toSorted((a, b) => (a.slug < b.slug ? -1 : 1));
  const fields = inOrder(type.fields).slice(0, chosen ? 2 : 5);
  const add = () => {
    const id = newId();
    const slug = freeSlug(stemOf(type), slugsOf(entries));
    if (
      sync.edit({
        name: 'addEntry',
        args: {
          entry: {
            id,
            kind: 'entry',
            format: FORMAT,
            type: type.id,
            slug,
            draft: true,
            values: {},
          },
        },
      })
    )
      void navigate(`${base}/${type.id}/${id}`);
  };
  return (
    <section className="entry-table">
      <div className="screen-head">
        <h2>{count(entries.length, type.name.toLowerCase(), type.plural.toLowerCase())}</h2>
        <Button size="small" onClick={add}>
          Add a {type.name.toLowerCase()}
        </Button>
      </div>
      {entries.length === 0 ? (
        <p className="first-steps">
          There is no {type.name.toLowerCase()} yet. The first one begins as a draft: nobody sees it
          until you say so.{' '}
          <Button size="small" type="primary" onClick={add}>
            Add the first {type.name.toLowerCase()}
          </Button>
        </p>
      ) : null}
      <div
        className="entry-rows"
        tabIndex={0}
        role="region"
        aria-label={`All ${type.plural.toLowerCase()}`}
      >
        <HeadedTable
          label={type.plural}
          className="screen-table"
          hidden={entries.length === 0}
          heads={[...fields.map(([, { label }]) => label), 'State']}
        >
          <tbody>
            {entries.map((entry) => (
              <tr key={entry.id} className={entry.id === chosen?.id ? 'chosen' : ''}>
                {fields.map(([id], i) => (
                  <td key={id}>
                    {i === 0 ? (
                      <Link to={`${base}/${type.id}/${entry.id}`}>
                        {entryTitle(documents, entry)}
                      </Link>
                    ) : (
                      <ShowValue documents={documents} value={own(entry.values, id)} />
                    )}
                  </td>
                ))}
                <td className="quiet">{entry.draft ? 'draft' : ''}</td>
              </tr>
            ))}
          </tbody>
        </HeadedTable>
      </div>
    </section>
  );
}

function EntryForm({
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
  const [session] = useState(newId);
  const [slug, setSlug] = useState<string | null>(null);
  const page = pageForEntries(documents, type.id);
  const commitSlug = () => {
    if (slug !== null && slug !== entry.slug)
      sync.edit({ name: 'setEntry', args: { entry: entry.id, set: { slug: slug.trim() } } });
    setSlug(null);
  };
  const nameAddress = () => {
    const title = own(entry.values, type.title);
    if (!entry.draft || !isNew(type, entry) || typeof title?.value !== 'string') return;
    const others = allOf(documents, 'entry').filter(
      ({ id, type: of }) => of === type.id && id !== entry.id,
    );
    const named = slugOf(title.value, '');
    if (named !== '')
      sync.edit({
        name: 'setEntry',
        args: { entry: entry.id, set: { slug: freeSlug(named, slugsOf(others)) } },
      });
  };
  return (
    <section className="entry-form" aria-label={`Entry ${entryTitle(documents, entry)}`}>
      <div className="screen-head">
        <h2>{entryTitle(documents, entry)}</h2>
        <Button size="small" type="text" onClick={() => void navigate(`${base}/${type.id}`)}>
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
      {inOrder(type.fields).map(([id, field]) => (
        <div className="field" key={id}>
          <span className="field-label">{field.label}</span>
          <div
            className="field-editor"
            // An address that nobody has typed yet follows the title, once that is typed.
            onBlur={id === type.title ? nameAddress : undefined}
          >
            <ValueEditor
              type={field.type}
              value={own(entry.values, id)}
              label={field.label}
              onChange={(value: Typed, group) =>
                sync.edit(
                  { name: 'setField', args: { entry: entry.id, field: id, value } },
                  { group: group === null ? null : `${session} ${id} ${group}` },
                )
              }
            />
            <LimitWords type={field.type} value={own(entry.values, id)} />
            {(own(entry.values, id)?.value ?? null) !== null && field.type.kind !== 'text' ? (
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
        </div>
      ))}
      <div className="field">
        <span className="field-label">Slug</span>
        <Input
          aria-label="Slug"
          size="small"
          value={slug ?? entry.slug}
          onChange={({ target }) => setSlug(target.value)}
          onBlur={commitSlug}
          onPressEnter={commitSlug}
        />
      </div>
      <div className="field">
        <span className="field-label">Publish</span>
        <Switch
          size="small"
          aria-label="Publish this entry"
          checked={!entry.draft}
          onChange={(on) =>
            sync.edit({ name: 'setEntry', args: { entry: entry.id, set: { draft: !on } } })
          }
        />
      </div>
      <Popconfirm
        title="Remove this entry?"
        description="Its page goes with the next release; undo brings it back."
        okText="Remove"
        cancelText="Keep"
        onConfirm={() => {
          if (sync.edit({ name: 'removeEntry', args: { entry: entry.id } }))
            void navigate(`${base}/${type.id}`);
        }}
      >
        <Button size="small" danger>
          Remove the entry
        </Button>
      </Popconfirm>
    </section>
  );
}
