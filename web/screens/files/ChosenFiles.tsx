import { useState, type ReactNode } from 'react';
import { AutoComplete, Button, Popconfirm } from 'antd';
import { folderOf } from '@sormet/core/edit';
import { useSync } from '../../site/SiteProvider';
import { count, refusalWords } from '../../words';
import type { FileRow } from './file-rows';

/** What is done with the files that were chosen, all at once: moved to a folder, removed. */
export function ChosenFiles({
  chosen,
  all,
  onNone,
  onWrong,
}: {
  chosen: readonly FileRow[];
  all: readonly FileRow[];
  onNone: () => void;
  onWrong: (words: string) => void;
}): ReactNode {
  const sync = useSync();
  const [typed, setTyped] = useState('');
  if (chosen.length === 0) return null;
  // Folders as they are written, whatever stands around their slashes.
  const folder = typed
    .split('/')
    .map((each) => each.trim())
    .filter(Boolean)
    .join('/');
  const folders = [...new Set(all.map(({ asset }) => folderOf(asset.name)))].filter(Boolean);
  const assets = chosen.map(({ asset }) => asset.id);
  const users = new Set(chosen.flatMap((row) => row.users));
  const act = (refusal: ReturnType<typeof sync.attempt>) => {
    onWrong(refusalWords(refusal));
    if (refusal === undefined) onNone();
  };
  const move = () => act(sync.attempt({ name: 'moveAssets', args: { assets, folder } }));
  return (
    <div className="chosen-files" role="group" aria-label="What was chosen">
      <strong>{count(chosen.length, 'file')} chosen</strong>
      <AutoComplete
        size="small"
        aria-label="Folder to move to"
        placeholder="folder, or none"
        value={typed}
        options={folders.map((value) => ({ value }))}
        onChange={setTyped}
      />
      <Button size="small" onClick={move}>
        {folder === '' ? 'Take out of folders' : `Move to ${folder}`}
      </Button>
      <Popconfirm
        title={`Remove ${count(chosen.length, 'file')}?`}
        description={
          users.size === 0
            ? 'Nothing uses them. Undo brings them back.'
            : `${count(users.size, 'place')} ${users.size === 1 ? 'shows' : 'show'} some of them and ${users.size === 1 ? 'is' : 'are'} empty there then. Undo brings them back.`
        }
        okText="Remove"
        cancelText="Keep"
        onConfirm={() => act(sync.attempt({ name: 'removeAssets', args: { assets } }))}
      >
        <Button size="small" danger>
          Remove {chosen.length}
        </Button>
      </Popconfirm>
      <Button size="small" type="text" onClick={onNone}>
        Choose none
      </Button>
    </div>
  );
}
