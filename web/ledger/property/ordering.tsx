import { createContext, useContext, useMemo, type ReactNode } from 'react';
import {
  closestCenter,
  DndContext,
  DragOverlay,
  useDndContext,
  useDraggable,
  useDroppable,
  type DragEndEvent,
} from '@dnd-kit/core';
import { GripVertical } from 'lucide-react';
import type { NamedEdit } from '@sormet/core/edit';
import { inOrder, own, type ComponentDoc, type PropertyId } from '@sormet/core/model';
import { useDragSensors } from '../../parts/use-drag-sensors';
import { saidWhileDragging } from '../../parts/said-while-dragging';
import { useSync } from '../../site/SiteProvider';

/** What is dragged among the properties of a definition, and what it is dropped on. */
type Dragged = { readonly is: 'property' | 'group'; readonly id: string };

/** The ids of both sorts, in the order in which they stand. */
type Orders = Readonly<Record<Dragged['is'], readonly string[]>>;

const Order = createContext<Orders>({ property: [], group: [] });

/** Whether what is dropped on gives way upwards: what comes from above goes behind it. */
function goesDown(orders: Orders, moved: Dragged, on: Dragged): boolean {
  const order = orders[moved.is];
  return order.indexOf(moved.id) < order.indexOf(on.id);
}

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
  const sensors = useDragSensors();
  const both = useMemo<Orders>(
    () => ({ property: order, group: inOrder(component.groups).map(([id]) => id) }),
    [order, component.groups],
  );
  const drop = ({ active, over }: DragEndEvent) => {
    const moved = active.data.current as Dragged | undefined;
    const on = over?.data.current as Dragged | undefined;
    if (!moved || !on || moved.is !== on.is || moved.id === on.id) return;
    if (moved.is === 'group') {
      const { group: groups } = both;
      const down = goesDown(both, moved, on);
      const before = down ? (groups[groups.indexOf(on.id) + 1] ?? null) : on.id;
      sync.edit({
        name: 'setGroup',
        args: { component: component.id, group: moved.id, set: { before } },
      });
      return;
    }
    const { properties } = component;
    const into = own(properties, on.id)?.group ?? null;
    const down = goesDown(both, moved, on);
    const behind = order[order.indexOf(on.id) + 1];
    const isSame = behind !== undefined && (own(properties, behind)?.group ?? null) === into;
    const before = !down ? on.id : isSame ? behind : null;
    sync.edit(placing(component, moved.id, into, before));
  };
  return (
    <DndContext
      sensors={sensors}
      accessibility={saidWhileDragging((data) => labelOf(component, data as Dragged | undefined))}
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
      <Order value={both}>{children}</Order>
      <Chip component={component} />
    </DndContext>
  );
}

function labelOf({ properties, groups }: ComponentDoc, dragged: Dragged | undefined): string {
  const all = dragged?.is === 'group' ? groups : properties;
  return (dragged && own(all, dragged.id)?.label) ?? '';
}

/** The name of what is dragged, at the pointer. */
function Chip({ component }: { component: ComponentDoc }): ReactNode {
  const { active } = useDndContext();
  const dragged = active?.data.current as Dragged | undefined;
  const label = labelOf(component, dragged);
  return (
    <DragOverlay dropAnimation={null}>
      {label === '' ? null : <div className="drag-chip">{label}</div>}
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
  const { setNodeRef: row, isOver, active } = useDroppable({ id, data: dragged });
  const order = useContext(Order);
  const moved = active?.data.current as Dragged | undefined;
  const mark =
    !isOver || !moved || moved.is !== dragged.is || moved.id === dragged.id
      ? undefined
      : goesDown(order, moved, dragged)
        ? 'drop-after'
        : 'drop-before';
  return { row, grip, listeners, mark };
}

/** By what something is dragged: for a pointer alone, since keys have the arrows beside. */
export function Grip({
  grip,
  listeners,
  name,
}: Pick<Draggable, 'grip' | 'listeners'> & { name: string }): ReactNode {
  return (
    <span
      ref={grip}
      className="grip"
      title={`Drag ${name} to where it should stand`}
      aria-hidden
      {...listeners}
    >
      <GripVertical size={13} />
    </span>
  );
}
