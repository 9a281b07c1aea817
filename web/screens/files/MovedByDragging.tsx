import { useState, type ReactNode } from 'react';
import { DndContext, DragOverlay, pointerWithin } from '@dnd-kit/core';
import { docOf } from '@sormet/core/model';
import { folderOf } from '@sormet/core/edit';
import { saidWhileDragging } from '../../parts/said-while-dragging';
import { useDragSensors } from '../../parts/use-drag-sensors';
import { useDerived, useSync } from '../../site/SiteProvider';
import { count, refusalWords } from '../../words';

/** What is dragged, and what it is let go on. */
export interface DraggedFile {
  readonly asset: string;
}
export interface FolderTarget {
  readonly folder: string;
}

/** Files are moved by dragging their picture onto another folder: the one that is dragged, and with it all that were chosen. */
export function MovedByDragging({
  chosen,
  onMoved,
  onWrong,
  children,
}: {
  chosen: ReadonlySet<string>;
  /** Told when they stand where they were let go. */
  onMoved: () => void;
  onWrong: (words: string) => void;
  children: ReactNode;
}): ReactNode {
  const { documents } = useDerived();
  const sync = useSync();
  const sensors = useDragSensors();
  const [dragged, setDragged] = useState<readonly string[]>([]);
  const all = (asset: string) => (chosen.has(asset) ? [...chosen] : [asset]);
  const nameOf = (asset: string) => docOf(documents, 'asset', asset)?.name ?? '';
  const words = (assets: readonly string[]) =>
    assets.length === 1 ? nameOf(assets[0]!) : count(assets.length, 'file');
  return (
    <DndContext
      sensors={sensors}
      collisionDetection={pointerWithin}
      accessibility={saidWhileDragging((data) =>
        saidOf(data as DraggedFile | FolderTarget | undefined, (asset) => words(all(asset))),
      )}
      onDragStart={({ active }) => setDragged(all((active.data.current as DraggedFile).asset))}
      onDragCancel={() => setDragged([])}
      onDragEnd={({ over }) => {
        setDragged([]);
        const target = over?.data.current as FolderTarget | undefined;
        if (!target) return;
        const assets = dragged.filter((asset) => folderOf(nameOf(asset)) !== target.folder);
        if (assets.length === 0) return;
        const { folder } = target;
        const refusal = sync.attempt({ name: 'moveAssets', args: { assets, folder } });
        onWrong(refusalWords(refusal));
        if (refusal === undefined) onMoved();
      }}
    >
      {children}
      <DragOverlay dropAnimation={null}>
        {dragged.length > 0 ? <div className="drag-chip">{words(dragged)}</div> : null}
      </DragOverlay>
    </DndContext>
  );
}

function saidOf(
  data: DraggedFile | FolderTarget | undefined,
  words: (asset: string) => string,
): string {
  if (!data) return '';
  if ('asset' in data) return words(data.asset);
  return data.folder === '' ? 'no folder' : `the folder ${data.folder}`;
}
