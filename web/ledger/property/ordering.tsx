import type { ReactNode } from 'react';
import {
  closestCenter,
  DndContext,
  DragOverlay,
  PointerSensor,
  useDndContext,
  useDraggable,
  useDroppable,
  useSensor,
  useSensors,
  type DragEndEvent,
} from '@dnd-kit/core';
import { GripVertical } from 'lucide-react';
import type { NamedEdit } from '@sormet/core/edit';
import { inOrder, own, type ComponentDoc, type PropertyId } from '@sormet/core/model';
import { useSync } from '../../site/SiteProvider';

/** What is dragged among the properties of a definition, and what it is dropped on. */
type Dragged = { readonly is: 'property' | 'group'; readonly id: string };

/** How far a pointer moves before it drags, in CSS px: less is a press. */
const FAR_ENOUGH = 4;

/** The edit that puts a property into a group (none for `null`) before another of it, or last. */
export function placing(
  component: ComponentDoc,
  property: PropertyId,
  into: string | null,
  before: PropertyId | null,
): NamedEdit {
  const made = into === null ? undefined : own(component.groups, into);
  const group = made ? { id: into!, ...made } : null;
  return {
    name: 'setProperty',
    args: { component: component.id, property, set: { place: { group, before } } },
  };
}

/** Properties and groups that are put in order by dragging their grips; what is dropped on gives way to the side it came from. */
export function OrderedByDragging({
  component,
  order,
  children,
}: {
  component: ComponentDoc;
  /** All properties as they stand, across groups. */
  order: readonly PropertyId[];
  children: ReactNode;
}): ReactNode {
  const sync = useSync();
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: FAR_ENOUGH } }),
  );
  const groups = inOrder(component.groups).map(([id]) => id);
  const drop = ({ active, over }: DragEndEvent) => {
    const moved = active.data.current as Dragged | undefined;
    const on = over?.data.current as Dragged | undefined;
    if (!moved || !on || moved.is !== on.is || moved.id === on.id) return;
    if (moved.is === 'group') {
      const down = groups.indexOf(moved.id) < groups.indexOf(on.id);
      const before = down ? (groups[groups.indexOf(on.id) + 1] ?? null) : on.id;
      sync.edit({
        name: 'setGroup',
        args: { component: component.id, group: moved.id, set: { before } },
      });
      return;
    }
    const { properties } = component;
    const into = own(properties, on.id)?.group ?? null;
    const down = order.indexOf(moved.id) < order.indexOf(on.id);
    const behind = order[order.indexOf(on.id) + 1];
    const isSame = behind !== undefined && (own(properties, behind)?.group ?? null) === into;
    const before = !down ? on.id : isSame ? behind : null;
    sync.edit(placing(component, moved.id, into, before));
  };
  return (
    <DndContext
      sensors={sensors}
      // Only what is of the same sort is dropped on.
      collisionDetection={(given) =>
        closestCenter({
          ...given,
          droppableContainers: given.droppableContainers.filter(
            ({ data }) =>
              (data.current as Dragged | undefined)?.is ===
              (given.active.data.current as Dragged | undefined)?.is,
          ),
        })
      }
      onDragEnd={drop}
    >
      {children}
      <Chip component={component} />
    </DndContext>
  );
}

/** The name of what is dragged, at the pointer. */
function Chip({ component }: { component: ComponentDoc }): ReactNode {
  const { active } = useDndContext();
  const dragged = active?.data.current as Dragged | undefined;
  const { properties, groups } = component;
  const label = dragged && own(dragged.is === 'group' ? groups : properties, dragged.id)?.label;
  return (
    <DragOverlay dropAnimation={null}>
      {label === undefined ? null : <div className="drag-chip">{label}</div>}
    </DragOverlay>
  );
}

/** What makes something of the table dragged and dropped on. */
export interface Draggable {
  readonly row: (element: HTMLElement | null) => void;
  readonly grip: (element: HTMLElement | null) => void;
  readonly listeners: ReturnType<typeof useDraggable>['listeners'];
  /** On which side something that is dragged would go. */
  readonly mark: 'drop-before' | 'drop-after' | undefined;
}

export function useDragged(dragged: Dragged): Draggable {
  const id = `${dragged.is} ${dragged.id}`;
  const { setNodeRef: grip, listeners } = useDraggable({ id, data: dragged });
  const { setNodeRef: row, isOver, active, rect, node } = useDroppable({ id, data: dragged });
  const from = active?.rect.current.initial?.top;
  const here = node.current?.getBoundingClientRect().top ?? rect.current?.top;
  const mark =
    !isOver || from === undefined || here === undefined || active?.id === id
      ? undefined
      : from < here
        ? 'drop-after'
        : 'drop-before';
  return { row, grip, listeners, mark };
}

/** By what something is dragged: for a pointer alone, since keys have the arrows beside. */
export function Grip({ drag, name }: { drag: Draggable; name: string }): ReactNode {
  return (
    <span
      ref={drag.grip}
      className="grip"
      title={`Drag ${name} to where it should stand`}
      aria-hidden
      {...drag.listeners}
    >
      <GripVertical size={13} />
    </span>
  );
}
