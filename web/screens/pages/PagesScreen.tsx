import { useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import { Button, Input, Modal, Popconfirm, Select, Switch } from 'antd';
import {
  allOf,
  docOf,
  FORMAT,
  newId,
  text,
  type Documents,
  type PageDoc,
} from '@sormet/core/model';
import { shortName } from '@sormet/core/edit';
import { useDerived, useSync } from '../../site/SiteProvider';
import { count } from '../../bench/words';
import '../screens.css';

/** All pages as a tree by path, with their state and the components each places. */
export function PagesScreen(): ReactNode {
  const { documents, reach } = useDerived();
  const sync = useSync();
  const [adding, setAdding] = useState(false);
  const pages = allOf(documents, 'page').toSorted((a, b) => (a.path < b.path ? -1 : 1));
  return (
    <>
      <div className="screen-head">
        <h1>Pages</h1>
        <Button type="primary" onClick={() => setAdding(true)}>
          Add a page
        </Button>
      </div>
      <table className="screen-table" aria-label="Pages">
        <thead>
          <tr>
            <th scope="col">Path</th>
            <th scope="col">Name</th>
            <th scope="col">Made from</th>
            <th scope="col">Places</th>
            <th scope="col">Publish</th>
            <th scope="col">
              <span className="for-readers">Acts</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {pages.map((page) => {
            const depth = page.path === '/' ? 0 : page.path.split('/').length - 2;
            return (
              <tr key={page.id}>
                <td style={{ paddingInlineStart: 12 + depth * 20 }}>
                  <PathCell page={page} />
                </td>
                <td>
                  <Link to={`/sites/${sync.site}/bench/${page.id}`} className="open-bench">
                    {page.name}
                  </Link>
                </td>
                <td>
                  {page.entries
                    ? `${count(reach.publishedAt(page.id), 'entry', 'entries')} of ${docOf(documents, 'type', page.entries)?.plural ?? ''}`
                    : 'one page'}
                </td>
                <td className="places">{placesOf(documents, page)}</td>
                <td>
                  <Switch
                    size="small"
                    aria-label={`Publish ${page.path}`}
                    checked={!page.draft}
                    onChange={(on) =>
                      sync.edit({ name: 'setPage', args: { page: page.id, set: { draft: !on } } })
                    }
                  />{' '}
                  <span className="quiet">{page.draft ? 'draft' : ''}</span>
                </td>
                <td>
                  <Popconfirm
                    title={`Remove ${page.path}?`}
                    description={`This takes ${count(Object.keys(page.nodes).length, 'element')} with it. Undo brings it back; it stays published until the next release.`}
                    okText="Remove"
                    cancelText="Keep"
                    onConfirm={() => sync.edit({ name: 'removePage', args: { page: page.id } })}
                  >
                    <Button size="small" type="text" aria-label={`Remove ${page.path}`}>
                      remove
                    </Button>
                  </Popconfirm>
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      <AddPage open={adding} onClose={() => setAdding(false)} />
    </>
  );
}

/** The path, changed in place; links to the page keep working and the old path leads here. */
function PathCell({ page }: { page: PageDoc }): ReactNode {
  const sync = useSync();
  const [typed, setTyped] = useState<string | null>(null);
  const commit = () => {
    if (typed !== null && typed !== page.path)
      sync.edit({ name: 'setPath', args: { page: page.id, path: typed.trim() } });
    setTyped(null);
  };
  const former = Object.keys(page.former);
  return (
    <>
      <Input
        size="small"
        variant="borderless"
        className="path-input"
        aria-label={`Path of ${page.name}`}
        value={typed ?? page.path}
        onChange={({ target }) => setTyped(target.value)}
        onBlur={commit}
        onPressEnter={commit}
      />
      {former.length > 0 ? (
        <span className="quiet">
          {former.join(', ')} {former.length === 1 ? 'leads' : 'lead'} here
        </span>
      ) : null}
    </>
  );
}

function placesOf(documents: Documents, page: PageDoc): string {
  const names = new Set<string>();
  for (const node of Object.values(page.nodes))
    if (node.kind === 'instance' && node.place.parent !== null)
      names.add(shortName(docOf(documents, 'component', node.component)?.name ?? 'gone'));
  return [...names].sort().join(', ');
}

function AddPage({ open, onClose }: { open: boolean; onClose: () => void }): ReactNode {
  const { documents } = useDerived();
  const sync = useSync();
  const [name, setName] = useState('');
  const [path, setPath] = useState('');
  const [entries, setEntries] = useState<string>('');
  const suggested =
    '/' +
    name
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-|-$/g, '') +
    (entries ? '/<slug>' : '');
  const { surround } = documents.site;
  const add = () => {
    if (surround === null) return;
    const id = newId();
    const page: PageDoc = {
      id,
      kind: 'page',
      format: FORMAT,
      name: name.trim(),
      path: path.trim() || suggested,
      title: text(name.trim()),
      description: text(''),
      draft: true,
      entries: entries || null,
      former: {},
      nodes: {
        [newId()]: {
          kind: 'instance',
          place: { parent: null, order: 'a0' },
          component: surround,
          values: {},
          style: {},
        },
      },
    };
    if (!sync.edit({ name: 'addPage', args: { page } })) return;
    setName('');
    setPath('');
    onClose();
  };
  return (
    <Modal
      open={open}
      title="Add a page"
      okText="Add the page"
      onOk={add}
      okButtonProps={{ disabled: name.trim() === '' }}
      onCancel={onClose}
    >
      <p>It stands in the surround and begins as a draft.</p>
      <label className="field">
        Name <Input value={name} onChange={({ target }) => setName(target.value)} />
      </label>
      <label className="field">
        Path{' '}
        <Input
          value={path}
          placeholder={suggested}
          onChange={({ target }) => setPath(target.value)}
        />
      </label>
      <div className="field">
        <span id="made-from">Made from</span>
        <Select
          aria-labelledby="made-from"
          value={entries}
          options={[
            { value: '', label: 'one page' },
            ...allOf(documents, 'type').map(({ id, plural }) => ({
              value: id,
              label: `each of ${plural}`,
            })),
          ]}
          onChange={setEntries}
        />
      </div>
    </Modal>
  );
}
