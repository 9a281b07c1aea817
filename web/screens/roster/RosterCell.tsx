import type { ReactNode } from 'react';
import type { Typed } from '@sormet/core/model';
import { CellEditor } from './CellEditor';
import type { Cell, Column } from './use-roster';

/** One cell: in words, or edited where somebody is in it. */
export function RosterCell({
  id,
  column,
  cell,
  isAt,
  isChosen,
  isEdited,
  onPoint,
  onEdit,
  onChange,
  onEnd,
}: {
  id: string;
  column: Column;
  cell: Cell;
  isAt: boolean;
  isChosen: boolean;
  isEdited: boolean;
  /** @param grows whether what is selected grows to it */
  onPoint: (grows: boolean) => void;
  onEdit: () => void;
  onChange: (value: Typed, group: string | null) => void;
  onEnd: (moved: boolean) => void;
}): ReactNode {
  const stands = { set: '', bound: ', bound', default: ', the default' }[cell.standing];
  return (
    <div
      id={id}
      role="gridcell"
      aria-selected={isChosen}
      className={`is-${cell.standing}${isChosen ? ' is-chosen' : ''}${isAt ? ' is-at' : ''}`}
      title={cell.words + stands}
      onMouseDown={({ shiftKey }) => {
        if (!isEdited) onPoint(shiftKey);
      }}
      onDoubleClick={onEdit}
    >
      {isEdited ? (
        <CellEditor
          column={column}
          value={cell.value}
          placeholder={cell.words}
          onChange={onChange}
          onEnd={onEnd}
        />
      ) : (
        <span className="roster-words">
          {cell.standing === 'bound' ? '↳ ' : ''}
          {cell.words}
        </span>
      )}
    </div>
  );
}
