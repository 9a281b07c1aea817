import { useState, type DragEvent, type ReactNode } from 'react';
import { Button } from 'antd';
import type { AssetDoc } from '@sormet/core/model';
import { askForFiles } from '../../parts/ask-for-file';
import { HeadedTable } from '../../parts/HeadedTable';
import { ACCEPTED } from './accepted';
import { byFolder, type FileRow } from './file-rows';
import { FileLine } from './FileLine';

interface Acts {
  readonly onReplace: (asset: AssetDoc) => void;
  readonly onWrong: (words: string) => void;
  /** Brings files in, into a folder. */
  readonly onBring: (files: readonly File[], folder: string) => void;
}

/** The files that are looked at: by their folders where they stand by name, else in one table. */
export function FileTables({
  rows,
  isByFolder,
  ...acts
}: { rows: readonly FileRow[]; isByFolder: boolean } & Acts): ReactNode {
  const folders = isByFolder ? byFolder(rows) : [];
  if (folders.length < 2 && (folders[0]?.[0] ?? '') === '')
    return <FileTable label="Files of the site" rows={rows} {...acts} />;
  return folders.map(([folder, files]) => (
    <Folder key={folder} folder={folder} files={files} {...acts} />
  ));
}

/** A folder: what is dropped on it, or brought in from its head, comes to stand in it. */
function Folder({
  folder,
  files,
  ...acts
}: { folder: string; files: readonly FileRow[] } & Acts): ReactNode {
  const [isOver, setOver] = useState(false);
  const { onBring } = acts;
  return (
    <section
      className={isOver ? 'file-folder is-over' : 'file-folder'}
      onDragOver={(event: DragEvent) => {
        if (!event.dataTransfer.types.includes('Files')) return;
        event.preventDefault();
        // The folder takes it, and not the screen around.
        event.stopPropagation();
        setOver(true);
      }}
      onDragLeave={() => setOver(false)}
      onDrop={(event: DragEvent) => {
        setOver(false);
        if (event.dataTransfer.files.length === 0) return;
        event.preventDefault();
        event.stopPropagation();
        onBring([...event.dataTransfer.files], folder);
      }}
    >
      <h2>
        {folder || 'In no folder'}{' '}
        <Button
          size="small"
          type="text"
          aria-label={`Bring files into ${folder || 'no folder'}`}
          onClick={() => askForFiles(ACCEPTED, (chosen) => onBring(chosen, folder))}
        >
          bring files in here
        </Button>
      </h2>
      <FileTable label={`Files in ${folder || 'no folder'}`} rows={files} {...acts} />
    </section>
  );
}

function FileTable({
  label,
  rows,
  onReplace,
  onWrong,
}: { label: string; rows: readonly FileRow[] } & Acts): ReactNode {
  return (
    <HeadedTable
      label={label}
      className="screen-table"
      heads={[
        { unseen: 'Picture' },
        'Folder and name',
        'Alternative text',
        'Kind',
        'Size',
        'Used by',
        { unseen: 'Acts' },
      ]}
    >
      <tbody>
        {rows.map((row) => (
          <FileLine key={row.asset.id} row={row} onReplace={onReplace} onWrong={onWrong} />
        ))}
      </tbody>
    </HeadedTable>
  );
}
