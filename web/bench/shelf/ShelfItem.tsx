import { memo, type ReactNode } from 'react';
import { useDraggable } from '@dnd-kit/core';
import type { Item } from './shelf-items';
import { ShelfThumb } from './ShelfThumb';

/** One thing of the shelf: told what to do by the shelf, so that nothing of it is drawn anew while something is typed. */
export const ShelfItem = memo(function ShelfItem({
  at,
  item,
  refusedBy,
  pictured,
  note,
  onShow,
  onPlace,
}: {
  /** The group it stands in: one thing may stand in two. */
  at: string;
  item: Item;
  /** The slot that is meant, where that does not take it. */
  refusedBy: string | undefined;
  pictured: boolean;
  note: string;
  onShow: (item: Item | null, rect?: DOMRect, now?: boolean) => void;
  onPlace: (item: Item) => void;
}): ReactNode {
  const { attributes, listeners, setNodeRef, isDragging } = useDraggable({
    id: `shelf-${at}-${item.id}`,
    data: item.placeable,
  });
  return (
    <div
      ref={setNodeRef}
      className={`shelf-item ${isDragging ? 'dragging' : ''} ${pictured ? 'pictured' : ''} ${refusedBy === undefined ? '' : 'is-refused'}`}
      {...listeners}
      {...attributes}
      aria-roledescription="can be dragged to the page"
      title={
        refusedBy === undefined
          ? 'Drag to the page, or press Enter to place it after what is selected'
          : `The slot ${refusedBy} does not take it`
      }
      onPointerEnter={({ currentTarget }) => onShow(item, currentTarget.getBoundingClientRect())}
      onPointerDownCapture={() => onShow(null, undefined, true)}
      onFocus={({ currentTarget }) => {
        if (currentTarget.matches(':focus-visible'))
          onShow(item, currentTarget.getBoundingClientRect(), true);
      }}
      onBlur={() => onShow(null, undefined, true)}
      onKeyDown={(event) => {
        if (event.key === 'Enter') onPlace(item);
        const items = [
          ...(event.currentTarget.closest('.shelf')?.querySelectorAll<HTMLElement>('.shelf-item') ??
            []),
        ];
        const by = event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0;
        if (by === 0) return;
        event.preventDefault();
        items[items.indexOf(event.currentTarget) + by]?.focus();
      }}
      onDoubleClick={() => onPlace(item)}
    >
      {pictured && item.placeable.is !== 'slot' ? (
        <ShelfThumb placeable={item.placeable} isWhole={item.isWhole} />
      ) : null}
      <span>{item.label}</span>
      <span className="shelf-note">{refusedBy === undefined ? note : `not in ${refusedBy}`}</span>
    </div>
  );
});
