import { useEffect, useRef, type KeyboardEvent, type PointerEvent, type ReactNode } from 'react';
import { MOST_CHROMA, planeOf, type Colour } from '@sormet/core/colour';

/** How finely the area is worked out; the browser draws what lies between. */
const COLUMNS = 138;
const ROWS = 58;

/** How far an arrow key goes (with Shift: five times as far), as a share of the area. */
const STEP = 0.01;

const within = (share: number) => Math.min(1, Math.max(0, share));

/**
 * All colours of one hue: lightness upwards, chroma to the right. What not every screen can show is left open; it can be
 * picked all the same.
 */
export function ColourArea({
  colour,
  onPick,
}: {
  colour: Colour;
  onPick: (colour: Colour) => void;
}): ReactNode {
  const drawn = useRef<HTMLCanvasElement>(null);
  const { l, c, h } = colour;
  useEffect(() => {
    const at = drawn.current!.getContext('2d')!;
    at.putImageData(new ImageData(planeOf(h, COLUMNS, ROWS), COLUMNS, ROWS), 0, 0);
  }, [h]);
  const pick = (lightness: number, chroma: number) =>
    onPick({ ...colour, l: within(lightness), c: within(chroma) * MOST_CHROMA });
  const point = (event: PointerEvent<HTMLElement>) => {
    const area = event.currentTarget.getBoundingClientRect();
    pick(1 - (event.clientY - area.top) / area.height, (event.clientX - area.left) / area.width);
  };
  const walk = (event: KeyboardEvent) => {
    const by = event.shiftKey ? STEP * 5 : STEP;
    const step = (
      { ArrowUp: [by, 0], ArrowDown: [-by, 0], ArrowRight: [0, by], ArrowLeft: [0, -by] } as Record<
        string,
        [number, number]
      >
    )[event.key];
    if (!step) return;
    event.preventDefault();
    pick(l + step[0], c / MOST_CHROMA + step[1]);
  };
  return (
    <div
      className="colour-area"
      // No pattern of WAI-ARIA goes in two directions: it is a slider of lightness that says its chroma, too.
      role="slider"
      aria-roledescription="slider in two directions"
      aria-label="Lightness and chroma"
      aria-orientation="vertical"
      aria-valuemin={0}
      aria-valuemax={100}
      aria-valuenow={Math.round(l * 100)}
      aria-valuetext={`lightness ${Math.round(l * 100)} %, chroma ${c.toFixed(3)}`}
      tabIndex={0}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        point(event);
      }}
      onPointerMove={(event) => {
        if (event.currentTarget.hasPointerCapture(event.pointerId)) point(event);
      }}
      onKeyDown={walk}
    >
      <canvas ref={drawn} width={COLUMNS} height={ROWS} aria-hidden />
      <span
        className={l > 0.6 ? 'colour-knob is-on-light' : 'colour-knob'}
        style={{
          left: `${within(c / MOST_CHROMA) * 100}%`,
          top: `${(1 - within(l)) * 100}%`,
        }}
        aria-hidden
      />
    </div>
  );
}
