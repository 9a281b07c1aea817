import { PointerSensor, useSensor, useSensors } from '@dnd-kit/core';

/** How far a pointer moves before it drags, in CSS px: less is a press. */
const FAR_ENOUGH = 4;

/** What notices that something is dragged: the pointer alone, once it has moved; by keys the menus and the go line move things. */
export function useDragSensors(): ReturnType<typeof useSensors> {
  return useSensors(useSensor(PointerSensor, { activationConstraint: { distance: FAR_ENOUGH } }));
}
