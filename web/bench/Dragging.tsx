import { useState, type ReactNode } from 'react';
import { DndContext, DragOverlay, type DragStartEvent } from '@dnd-kit/core';
import { docOf, type Documents } from '@sormet/core/model';
import { shortName } from '@sormet/core/edit';
import { STARTERS } from '@sormet/core/ready';
import { useDragSensors } from '../parts/use-drag-sensors';
import { saidWhileDragging } from '../parts/said-while-dragging';
import type { Placeable } from '../canvas/placing';
import { useStore } from 'react-redux';
import type { AppStore } from '../store/store';

/** Everything between which things of the shelf are dragged, with the name of what is dragged at the pointer. */
export function Dragging({ children }: { children: ReactNode }): ReactNode {
  const store = useStore() as AppStore;
  const [dragging, setDragging] = useState<string | null>(null);
  const sensors = useDragSensors();
  const drop = () => setDragging(null);
  return (
    <DndContext
      sensors={sensors}
      accessibility={saidWhileDragging((data) =>
        data === undefined ? '' : placeableName(store.getState().site.documents, data as Placeable),
      )}
      onDragStart={({ active }: DragStartEvent) =>
        setDragging(
          placeableName(store.getState().site.documents, active.data.current as Placeable),
        )
      }
      onDragEnd={drop}
      onDragCancel={drop}
    >
      {children}
      <DragOverlay dropAnimation={null}>
        {dragging ? <div className="drag-chip">{dragging}</div> : null}
      </DragOverlay>
    </DndContext>
  );
}

function placeableName(documents: Documents, placeable: Placeable): string {
  if (placeable.is === 'slot') return 'Slot';
  if (placeable.is === 'starter')
    return STARTERS.find(({ key }) => key === placeable.key)?.label ?? '';
  const component = docOf(documents, 'component', placeable.id);
  return component ? shortName(component.name) : '';
}
