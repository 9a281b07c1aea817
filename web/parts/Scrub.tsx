import { useRef, type PointerEvent, type ReactNode } from 'react';
import './Scrub.css';

/** How far a pointer goes for one step, in px. */
const PX_PER_STEP = 4;
/** How far it goes before it is dragging at all: a press may tremble. */
const TREMBLE = 3;

export interface ScrubProps<T = string> {
  /**
   * Told when somebody takes hold of it. @returns what gives the value so many steps from where it began; nothing where
   * there is no number
   */
  readonly begin: () => ((by: number) => T | undefined) | undefined;
  /** Given each value on the way, with a number for each time somebody takes hold. */
  readonly onStep: (value: T, hold: number) => void;
  readonly children: ReactNode;
}

/**
 * The label of a number, which can be dragged to the left and right to step it: with Shift by ten times as much, with Alt by
 * a tenth. The arrow keys do the same in its field.
 */
export function Scrub<T>({ begin, onStep, children }: ScrubProps<T>): ReactNode {
  const hold = useRef<{ x: number; at: number; to: (by: number) => T | undefined } | null>(null);
  const last = useRef(0);
  const move = (event: PointerEvent<HTMLSpanElement>) => {
    const held = hold.current;
    if (!held) return;
    const by = event.clientX - held.x;
    if (!event.currentTarget.hasPointerCapture(event.pointerId)) {
      if (Math.abs(by) < TREMBLE) return;
      event.currentTarget.setPointerCapture(event.pointerId);
    }
    const steps = Math.round(by / PX_PER_STEP);
    const along = steps * (event.shiftKey ? 10 : event.altKey ? 0.1 : 1);
    if (along === last.current) return;
    last.current = along;
    const value = held.to(along);
    if (value !== undefined) onStep(value, held.at);
  };
  return (
    <span
      className="scrub"
      title="Drag to the left or right to step it"
      onPointerDown={(event) => {
        const to = event.button === 0 ? begin() : undefined;
        if (!to) return;
        last.current = 0;
        hold.current = { x: event.clientX, at: event.timeStamp, to };
      }}
      onPointerMove={move}
      onPointerUp={() => (hold.current = null)}
      onPointerCancel={() => (hold.current = null)}
    >
      {children}
    </span>
  );
}
