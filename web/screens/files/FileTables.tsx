import type { ReactNode } from 'react';
import { Button, Checkbox } from 'antd';
import { useDroppable } from '@dnd-kit/core';
import type { AssetDoc } from '@sormet/core/model';
import { askForFiles } from '../../parts/ask-for-file';
import { HeadedTable } from '../../parts/HeadedTable';
import { useDroppedFiles } from '../../parts/use-dropped-files';
import { ACCEPTED } from './accepted';
import { byFolder, type FileRow } from './file-rows';
import { FileLine } from './FileLine';
import { MovedByDragging, type FolderTarget } from './MovedByDragging';

interface Acts {
  /** Those that were chosen, to be moved or removed together. */
  readonly chosen: ReadonlySet<string>;
  readonly onChoose: (assets: readonly string[], on: boolean) => void;
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
  return (
    <MovedByDragging
      chosen={acts.chosen}
      onMoved={() => acts.onChoose([...acts.chosen], false)}
      onWrong={acts.onWrong}
    >
      {folders.map(([folder, files]) => (
        <Folder key={folder} folder={folder} files={files} {...acts} />
      ))}
    </MovedByDragging>
  );
}

/** A folder: what is dropped on it, or brought in from its head, comes to stand in it. */
function Folder({
  folder,
  files,
  ...acts
}: { folder: string; files: readonly FileRow[] } & Acts): ReactNode {
  const { onBring } = acts;
  // The folder takes it, and not the screen around.
  const { isOver, drop } = useDroppedFiles((dropped) => onBring(dropped, folder));
  const target: FolderTarget = { folder };
  const moved = useDroppable({ id: `folder ${folder}`, data: target });
  return (
    <section
      ref={moved.setNodeRef}
      className={isOver || moved.isOver ? 'file-folder is-over' : 'file-folder'}
      {...drop}
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
  chosen,
  onChoose,
  onReplace,
  onWrong,
}: { label: string; rows: readonly FileRow[] } & Acts): ReactNode {
  const here = rows.map(({ asset }) => asset.id);
  const many = here.filter((id) => chosen.has(id)).length;
  return (
    <HeadedTable
      label={label}
      className="screen-table"
      heads={[
        <th scope="col" key="choose" className="file-choice">
          <Checkbox
            aria-label={`Choose all: ${label}`}
            checked={many > 0 && many === here.length}
            indeterminate={many > 0 && many < here.length}
            onChange={({ target }) => onChoose(here, target.checked)}
          />
        </th>,
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
          <FileLine
            key={row.asset.id}
            row={row}
            isChosen={chosen.has(row.asset.id)}
            onChoose={(on) => onChoose([row.asset.id], on)}
            onReplace={onReplace}
            onWrong={onWrong}
          />
        ))}
      </tbody>
    </HeadedTable>
  );
}
