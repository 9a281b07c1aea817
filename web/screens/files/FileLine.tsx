import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { useDraggable } from '@dnd-kit/core';
import { Button, Checkbox, Popconfirm } from 'antd';
import { assetPath, type AssetDoc, type Documents } from '@sormet/core/model';
import { useDerived, useSync } from '../../site/SiteProvider';
import { DraftField } from '../../values/DraftField';
import { count, documentWords, refusalWords } from '../../words';
import type { FileRow } from './file-rows';
import { FocusPoint } from './FocusPoint';
import type { DraggedFile } from './MovedByDragging';

/** How many places are named before the others are counted. */
const NAMED = 4;

/** One file: how it looks, what it is called, what is said of it, who uses it; replaced and removed. */
export function FileLine({
  row: { asset, users, twin },
  isChosen,
  onChoose,
  onReplace,
  onWrong,
}: {
  row: FileRow;
  isChosen: boolean;
  onChoose: (on: boolean) => void;
  onReplace: (asset: AssetDoc) => void;
  /** Told why something was not done, and `''` when it was. */
  onWrong: (words: string) => void;
}): ReactNode {
  const { documents } = useDerived();
  const sync = useSync();
  const data: DraggedFile = { asset: asset.id };
  const handle = useDraggable({ id: `file ${asset.id}`, data });
  return (
    <tr className={handle.isDragging ? 'is-dragged' : undefined}>
      <td className="file-choice">
        <Checkbox
          aria-label={`Choose ${asset.name}`}
          checked={isChosen}
          onChange={({ target }) => onChoose(target.checked)}
        />
      </td>
      <td
        className="file-picture"
        ref={handle.setNodeRef}
        {...handle.listeners}
        title="Drag it onto another folder"
      >
        {asset.mediaType.startsWith('image/') ? (
          <img src={assetPath(asset)} alt="" loading="lazy" draggable={false} />
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
        {asset.width === undefined ? '' : `${asset.width} × ${asset.height}`}{' '}
        {asset.mediaType.startsWith('image/') ? <FocusPoint asset={asset} /> : null}
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
          <Button size="small" onClick={() => onReplace(asset)}>
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
            onWrong(
              refusalWords(sync.attempt({ name: 'removeAssets', args: { assets: [asset.id] } })),
            )
          }
        >
          <Button size="small" danger aria-label={`Remove ${asset.name}`}>
            Remove
          </Button>
        </Popconfirm>
      </td>
    </tr>
  );
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
