import { createContext, useCallback, useContext, useId, useState, type ReactNode } from 'react';
import {
  closestCenter,
  DndContext,
  useDraggable,
  useDroppable,
  type DragEndEvent,
} from '@dnd-kit/core';
import { inOrder, orderBetween, own, type ComponentDoc } from '@sormet/core/model';
import { useDragSensors } from '../../parts/use-drag-sensors';
import { saidWhileDragging } from '../../parts/said-while-dragging';
import { useSync } from '../../site/SiteProvider';
import { MoveAxis } from './MoveAxis';
import type { AxisOffered } from './axes-of';

/** What is dragged: an axis by its name, or one of its options. */
export type Dragged =
  | { readonly is: 'axis'; readonly id: string }
  | { readonly is: 'option'; readonly axis: string; readonly id: string };

const Order = createContext<readonly string[]>([]);

const isOneSort = (a: Dragged, b: Dragged): boolean =>
  a.is === 'axis' ? b.is === 'axis' : b.is === 'option' && a.axis === b.axis;

/**
 * The axes of a definition and their options, put in order by dragging. Of axes it is said first what would look otherwise:
 * the later wins.
 */
export function OrderedVariants({
  definition,
  axes,
  children,
}: {
  definition: ComponentDoc;
  axes: readonly AxisOffered[];
  children: ReactNode;
}): ReactNode {
  const sync = useSync();
  const [asked, setAsked] = useState<{ axis: string; to: 'before' | 'behind'; on: string } | null>(
    null,
  );
  const sensors = useDragSensors();
  const order = axes.flatMap(({ id, options }) => [id, ...options.map((each) => each.id)]);
  const drop = ({ active, over }: DragEndEvent) => {
    const moved = active.data.current as Dragged | undefined;
    const on = over?.data.current as Dragged | undefined;
    if (!moved || !on || !isOneSort(moved, on) || moved.id === on.id) return;
    const isBehind = order.indexOf(moved.id) < order.indexOf(on.id);
    if (moved.is === 'axis') {
      setAsked({ axis: moved.id, to: isBehind ? 'behind' : 'before', on: on.id });
      return;
    }
    const type = own(definition.properties, moved.axis)?.type;
    if (type?.kind !== 'choice') return;
    const others = inOrder(type.options).filter(([id]) => id !== moved.id);
    const at = others.findIndex(([id]) => id === on.id) + (isBehind ? 1 : 0);
    const orderOf = (i: number) => others[i]?.[1].order ?? null;
    sync.edit({
      name: 'setOption',
      args: {
        component: definition.id,
        property: moved.axis,
        option: moved.id,
        set: { order: orderBetween(orderOf(at - 1), orderOf(at)) },
      },
    });
  };
  return (
    <DndContext
      sensors={sensors}
      accessibility={saidWhileDragging((data) => labelIn(axes, data as Dragged | undefined))}
      collisionDetection={(given) =>
        closestCenter({
          ...given,
          droppableContainers: given.droppableContainers.filter(({ data }) =>
            isOneSort(given.active.data.current as Dragged, data.current as Dragged),
          ),
        })
      }
      onDragEnd={drop}
    >
      <Order value={order}>{children}</Order>
      {asked ? (
        <MoveAxis definition={definition} {...asked} onClose={() => setAsked(null)} />
      ) : null}
    </DndContext>
  );
}

function labelIn(axes: readonly AxisOffered[], dragged: Dragged | undefined): string {
  if (!dragged) return '';
  if (dragged.is === 'axis') return axes.find(({ id }) => id === dragged.id)?.label ?? '';
  const axis = axes.find(({ id }) => id === dragged.axis);
  return axis?.options.find(({ id }) => id === dragged.id)?.label ?? '';
}

/** Makes something draggable, and what is dragged of its sort drop on it; where nothing is put in order, it is neither. */
export function useOrdered(dragged: Dragged | null) {
  const order = useContext(Order);
  const none = useId();
  const id = dragged?.id ?? none;
  const disabled = dragged === null;
  const data = dragged ?? {};
  const drag = useDraggable({ id: `variant ${id}`, data, disabled });
  const drop = useDroppable({ id: `variant ${id}`, data, disabled });
  const moved = drop.active?.data.current as Dragged | undefined;
  const isOver = dragged !== null && drop.isOver && moved !== undefined && moved.id !== id;
  const { setNodeRef: setDragged } = drag;
  const { setNodeRef: setOver } = drop;
  const ref = useCallback(
    (element: HTMLElement | null) => {
      setDragged(element);
      setOver(element);
    },
    [setDragged, setOver],
  );
  const side = isOver && order.indexOf(moved.id) < order.indexOf(id) ? 'is-behind' : 'is-before';
  return {
    ref,
    listeners: drag.listeners,
    className: isOver ? side : drag.isDragging ? 'is-dragged' : '',
  };
}
