import { useDroppable } from '@dnd-kit/core';
import type { Bound, ValueKind } from '@sormet/core/model';
import { feeds } from '@sormet/core/value';
import type { FieldAround } from './fields';

/** What a row says where a field is let go on it. */
export interface FieldTarget {
  readonly giveField: (field: FieldAround) => void;
}

/** A row that takes a field which is dragged onto it, where that can feed what it holds. */
export function useFieldTarget(
  id: string,
  wanted: ValueKind,
  give: (source: Bound) => void,
): { readonly ref: (element: HTMLElement | null) => void; readonly isOver: boolean } {
  const takes = (field: FieldAround | undefined) =>
    field !== undefined && feeds(field.kind, wanted);
  const data: FieldTarget = {
    giveField: (field) => {
      if (takes(field)) give(field.source);
    },
  };
  const { setNodeRef, isOver, active } = useDroppable({ id: `field target ${id}`, data });
  const dragged = active?.data.current as { field?: FieldAround } | undefined;
  return { ref: setNodeRef, isOver: isOver && takes(dragged?.field) };
}
