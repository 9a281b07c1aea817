import { useState, type ReactNode } from 'react';
import {
  DndContext,
  DragOverlay,
  pointerWithin,
  type DragEndEvent,
  type DragStartEvent,
} from '@dnd-kit/core';
import { docOf, type Documents } from '@sormet/core/model';
import { shortName } from '@sormet/core/edit';
import { STARTERS } from '@sormet/core/ready';
import { useDragSensors } from '../parts/use-drag-sensors';
import { saidWhileDragging } from '../parts/said-while-dragging';
import type { DraggedField } from '../canvas/field-drop';
import type { Placeable } from '../canvas/placing';
import type { FieldTarget } from '../values/use-field-target';
import { useStore } from 'react-redux';
import type { AppStore } from '../store/store';

/** Everything between which things of the shelf are dragged, with the name of what is dragged at the pointer. */
export function Dragging({ children }: { children: ReactNode }): ReactNode {
  const store = useStore() as AppStore;
  const [dragging, setDragging] = useState<string | null>(null);
  const sensors = useDragSensors();
  const drop = () => setDragging(null);
  const end = ({ active, over }: DragEndEvent) => {
    drop();
    const given = active.data.current as Dragged;
    if (given.is === 'field')
      (over?.data.current as Partial<FieldTarget> | undefined)?.giveField?.(given.field);
  };
  return (
    <DndContext
      sensors={sensors}
      accessibility={saidWhileDragging((data) =>
        data === undefined ? '' : nameOf(store.getState().site.documents, data as Dragged),
      )}
      onDragStart={({ active }: DragStartEvent) =>
        setDragging(nameOf(store.getState().site.documents, active.data.current as Dragged))
      }
      collisionDetection={pointerWithin}
      onDragEnd={end}
      onDragCancel={drop}
    >
      {children}
      <DragOverlay dropAnimation={null}>
        {dragging ? <div className="drag-chip">{dragging}</div> : null}
      </DragOverlay>
    </DndContext>
  );
}

/** What is dragged from the shelf. */
type Dragged = Placeable | DraggedField;

function nameOf(documents: Documents, placeable: Dragged): string {
  if (placeable.is === 'field') return placeable.field.label;
  if (placeable.is === 'slot') return 'Slot';
  if (placeable.is === 'starter')
    return STARTERS.find(({ key }) => key === placeable.key)?.label ?? '';
  const component = docOf(documents, 'component', placeable.id);
  return component ? shortName(component.name) : '';
}
