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
import { useDragSensors } from '../use-drag-sensors';
import { saidWhileDragging } from '../said-while-dragging';
import type { Standing } from './standing';

/** What is dragged, and what it is dropped on: one of the things, or a group of them. */
type Dragged = { readonly is: 'thing' | 'group'; readonly id: string };

/** The ids of both sorts, in the order in which they stand. */
type Orders = Readonly<Record<Dragged['is'], readonly string[]>>;

const Order = createContext<Orders>({ thing: [], group: [] });

/** Whether what is dropped on gives way upwards: what comes from above goes behind it. */
function goesDown(orders: Orders, moved: Dragged, on: Dragged): boolean {
  const order = orders[moved.is];
  return order.indexOf(moved.id) < order.indexOf(on.id);
}

/** Things and groups that are put in order by dragging their grips; what is dropped on gives way to the side it came from. */
export function OrderedByDragging({
  standing,
  children,
}: {
  standing: Standing;
  children: ReactNode;
}): ReactNode {
  const sensors = useDragSensors();
  const { order, groups, groupOf } = standing;
  const both = useMemo<Orders>(
    () => ({ thing: order, group: groups.map(({ id }) => id) }),
    [order, groups],
  );
  const drop = ({ active, over }: DragEndEvent) => {
    const moved = active.data.current as Dragged | undefined;
    const on = over?.data.current as Dragged | undefined;
    if (!moved || !on || moved.is !== on.is || moved.id === on.id) return;
    const down = goesDown(both, moved, on);
    const all = both[moved.is];
    const behind = all[all.indexOf(on.id) + 1];
    if (moved.is === 'group') return standing.putGroup(moved.id, down ? (behind ?? null) : on.id);
    const into = groupOf(on.id);
    const isSame = behind !== undefined && groupOf(behind) === into;
    standing.put(
      moved.id,
      groups.find(({ id }) => id === into) ?? null,
      !down ? on.id : isSame ? behind : null,
    );
  };
  return (
    <DndContext
      sensors={sensors}
      accessibility={saidWhileDragging((data) => labelOf(standing, data as Dragged | undefined))}
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
      <Chip standing={standing} />
    </DndContext>
  );
}

function labelOf(standing: Standing, dragged: Dragged | undefined): string {
  if (!dragged) return '';
  return dragged.is === 'thing'
    ? standing.labelOf(dragged.id)
    : (standing.groups.find(({ id }) => id === dragged.id)?.label ?? '');
}

/** The name of what is dragged, at the pointer. */
function Chip({ standing }: { standing: Standing }): ReactNode {
  const { active } = useDndContext();
  const label = labelOf(standing, active?.data.current as Dragged | undefined);
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
