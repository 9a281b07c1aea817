import { useMemo, useState, type DragEvent, type ReactNode } from 'react';
import { Link } from 'react-router';
import { Button, Input, Popconfirm, Select } from 'antd';
import { knownTag } from '@sormet/core/locale';
import { allOf, assetPath, type AssetDoc, type Documents } from '@sormet/core/model';
import type { Reach } from '@sormet/core/reach';
import { askForFile, askForFiles } from '../../parts/ask-for-file';
import { HeadedTable } from '../../parts/HeadedTable';
import { Wrong } from '../../parts/Wrong';
import { api } from '../../site/api';
import { useDerived, useSync } from '../../site/SiteProvider';
import { DraftField } from '../../values/DraftField';
import { count, documentWords, refusalWords } from '../../words';
import { useBringing } from './use-bringing';
import '../../values/values.css';
import '../screens.css';
import './files.css';

/** What files a site may hold, as the dialog for files asks. */
const ACCEPTED = 'image/svg+xml,image/png,image/jpeg,image/webp,image/gif,video/mp4,video/webm';

/** How many rows are drawn at first, and more each time. */
const PAGE = 100;
/** How many places are named before the others are counted. */
const NAMED = 4;

type Kind = 'all' | 'image' | 'video' | 'font' | 'unused';
type Order = 'name' | 'uses' | 'kind' | 'size';

/** The files of a site: pictures, films, fonts; brought in many at once, found, named, replaced, those that nothing uses removed. */
export function FilesScreen(): ReactNode {
  const { documents, reach } = useDerived();
  const sync = useSync();
  const bringing = useBringing();
  const [find, setFind] = useState('');
  const [kind, setKind] = useState<Kind>('all');
  const [order, setOrder] = useState<Order>('name');
  const [shown, setShown] = useState(PAGE);
  const [isOver, setOver] = useState(false);
  const [wrong, setWrong] = useState('');
  const all = useMemo(() => filesOf(documents, reach), [documents, reach]);
  const unused = all.filter(({ users }) => users.length === 0);
  const rows = useMemo(
    () => looked(all, find, kind, order, documents.site.language),
    [all, find, kind, order, documents.site.language],
  );
  const replace = (asset: AssetDoc) =>
    askForFile(ACCEPTED, (file) => {
      setWrong('');
      void api.upload(sync.site, file).then(
        ({ sha256, mediaType, width, height }) => {
          const size = width === undefined || height === undefined ? {} : { width, height };
          const set = {
            file: { sha256, mediaType: mediaType as AssetDoc['mediaType'], ...size },
          };
          const refusal = sync.attempt({ name: 'setAsset', args: { asset: asset.id, set } });
          setWrong(refusalWords(refusal));
        },
        (error: Error) => setWrong(`${file.name}: ${error.message}`),
      );
    });
  return (
    <div
      className={isOver ? 'files is-over' : 'files'}
      onDragOver={(event: DragEvent) => {
        if (!event.dataTransfer.types.includes('Files')) return;
        event.preventDefault();
        setOver(true);
      }}
      onDragLeave={() => setOver(false)}
      onDrop={(event: DragEvent) => {
        setOver(false);
        if (event.dataTransfer.files.length === 0) return;
        event.preventDefault();
        bringing.bring([...event.dataTransfer.files]);
      }}
    >
      <div className="screen-head">
        <h1>Files</h1>
        <span className="screen-acts">
          <Input
            size="small"
            className="search"
            aria-label="Find a file"
            placeholder="find"
            allowClear
            value={find}
            onChange={({ target }) => setFind(target.value)}
          />
          <Select
            size="small"
            aria-label="Which files"
            value={kind}
            popupMatchSelectWidth={false}
            options={[
              { value: 'all', label: 'all' },
              { value: 'image', label: 'pictures' },
              { value: 'video', label: 'films' },
              { value: 'font', label: 'fonts' },
              { value: 'unused', label: 'nothing uses them' },
            ]}
            onChange={setKind}
          />
          <Select
            size="small"
            aria-label="In which order"
            value={order}
            popupMatchSelectWidth={false}
            options={[
              { value: 'name', label: 'by name' },
              { value: 'uses', label: 'most used first' },
              { value: 'kind', label: 'by kind' },
              { value: 'size', label: 'largest first' },
            ]}
            onChange={setOrder}
          />
          <Popconfirm
            title={`Remove ${count(unused.length, 'file')} that nothing uses?`}
            description="Undo brings them back."
            okText="Remove"
            cancelText="Keep"
            onConfirm={() => {
              const assets = unused.map(({ asset }) => asset.id);
              setWrong(refusalWords(sync.attempt({ name: 'removeAssets', args: { assets } })));
            }}
          >
            <Button size="small" disabled={unused.length === 0}>
              Remove {unused.length} unused
            </Button>
          </Popconfirm>
          <Button size="small" type="primary" onClick={() => askForFiles(ACCEPTED, bringing.bring)}>
            Bring files in
          </Button>
        </span>
      </div>
      <p className="quiet" aria-live="polite">
        {bringing.total > 0
          ? `Bringing in: ${bringing.done} of ${bringing.total}`
          : `${count(rows.length, 'file')}. Drop more anywhere here.`}
      </p>
      {bringing.told.map((each) => (
        <Wrong key={each} as="p" words={each} />
      ))}
      <Wrong as="p" words={wrong} />
      {rows.length === 0 ? (
        <p className="first-steps">
          {all.length === 0
            ? 'There are no files yet. Drop pictures or films here.'
            : 'No file is like this.'}
        </p>
      ) : (
        <HeadedTable
          label="Files of the site"
          className="screen-table"
          heads={[
            { unseen: 'Picture' },
            'Name',
            'Alternative text',
            'Kind',
            'Size',
            'Used by',
            { unseen: 'Acts' },
          ]}
        >
          <tbody>
            {rows.slice(0, shown).map(({ asset, users, twin }) => (
              <tr key={asset.id}>
                <td className="file-picture">
                  {asset.mediaType.startsWith('image/') ? (
                    <img src={assetPath(asset)} alt="" loading="lazy" />
                  ) : null}
                </td>
                <td>
                  <DraftField
                    label={`Name of ${asset.name}`}
                    stored={asset.name}
                    edit={(name) => ({
                      name: 'setAsset',
                      args: { asset: asset.id, set: { name } },
                    })}
                  />
                  {twin ? <span className="quiet">the same file as {twin.name}</span> : null}
                </td>
                <td>
                  {asset.mediaType.startsWith('font/') ? null : (
                    <DraftField
                      label={`Alternative text of ${asset.name}`}
                      stored={asset.alt ?? ''}
                      placeholder="none yet"
                      edit={(alt) => ({
                        name: 'setAsset',
                        args: { asset: asset.id, set: { alt: alt.trim() === '' ? null : alt } },
                      })}
                    />
                  )}
                </td>
                <td>{wordOf(asset)}</td>
                <td className="mono">
                  {asset.width === undefined ? '' : `${asset.width} × ${asset.height}`}
                </td>
                <td className="places">
                  {users.length === 0 ? 'nothing' : null}
                  {users.slice(0, NAMED).map((user, i) => (
                    <span key={user}>
                      {i > 0 ? ', ' : ''}
                      <Place documents={documents} site={sync.site} id={user} />
                    </span>
                  ))}
                  {users.length > NAMED ? ` and ${users.length - NAMED} more` : ''}
                </td>
                <td className="file-acts">
                  {asset.mediaType.startsWith('font/') ? null : (
                    <Button size="small" onClick={() => replace(asset)}>
                      Replace
                    </Button>
                  )}
                  <Popconfirm
                    title={`Remove ${asset.name}?`}
                    description={
                      users.length === 0
                        ? 'Nothing uses it. Undo brings it back.'
                        : `${count(users.length, 'place')} ${users.length === 1 ? 'shows' : 'show'} it and ${users.length === 1 ? 'is' : 'are'} empty then. Undo brings it back.`
                    }
                    okText="Remove"
                    cancelText="Keep"
                    onConfirm={() =>
                      setWrong(
                        refusalWords(
                          sync.attempt({ name: 'removeAssets', args: { assets: [asset.id] } }),
                        ),
                      )
                    }
                  >
                    <Button size="small" danger aria-label={`Remove ${asset.name}`}>
                      Remove
                    </Button>
                  </Popconfirm>
                </td>
              </tr>
            ))}
          </tbody>
        </HeadedTable>
      )}
      {rows.length > shown ? (
        <Button size="small" onClick={() => setShown(shown + PAGE)}>
          Show {Math.min(PAGE, rows.length - shown)} more
        </Button>
      ) : null}
    </div>
  );
}

interface FileRow {
  readonly asset: AssetDoc;
  /** The documents that use it. */
  readonly users: readonly string[];
  /** Another of the same bytes. */
  readonly twin: AssetDoc | undefined;
}

function filesOf(documents: Documents, reach: Reach): FileRow[] {
  const firsts = new Map<string, AssetDoc>();
  return allOf(documents, 'asset').map((asset) => {
    const twin = firsts.get(asset.sha256);
    if (!twin) firsts.set(asset.sha256, asset);
    const users = [...new Set(reach.usesOf(asset.id).map(({ from }) => from))];
    return { asset, users, twin };
  });
}

function looked(
  all: readonly FileRow[],
  find: string,
  kind: Kind,
  order: Order,
  language: string,
): FileRow[] {
  const wanted = find.trim().toLowerCase();
  const rows = all.filter(
    ({ asset, users }) =>
      (kind === 'all' ||
        (kind === 'unused' ? users.length === 0 : asset.mediaType.startsWith(`${kind}/`))) &&
      asset.name.toLowerCase().includes(wanted),
  );
  const compare = new Intl.Collator(knownTag(language) ?? 'en', { numeric: true }).compare;
  const byName = (a: FileRow, b: FileRow) =>
    compare(a.asset.name, b.asset.name) || (a.asset.id < b.asset.id ? -1 : 1);
  const area = ({ asset: { width = 0, height = 0 } }: FileRow) => width * height;
  return rows.sort((a, b) => {
    if (order === 'uses') return b.users.length - a.users.length || byName(a, b);
    if (order === 'size') return area(b) - area(a) || byName(a, b);
    if (order === 'kind') return compare(a.asset.mediaType, b.asset.mediaType) || byName(a, b);
    return byName(a, b);
  });
}

function wordOf({ mediaType }: AssetDoc): string {
  const [sort, of] = mediaType.split('/') as [string, string];
  const word = { image: 'picture', video: 'film', font: 'font' }[sort] ?? 'file';
  return `${word}, ${of.replace('+xml', '').toUpperCase()}`;
}

function Place({
  documents,
  site,
  id,
}: {
  documents: Documents;
  site: string;
  id: string;
}): ReactNode {
  const doc = documents.get(id);
  const words = documentWords(documents, id);
  if (doc?.kind === 'page' || doc?.kind === 'component')
    return <Link to={`/sites/${site}/bench/${id}`}>{words}</Link>;
  if (doc?.kind === 'entry')
    return <Link to={`/sites/${site}/content/${doc.type}/${id}`}>{words}</Link>;
  return words;
}
