import { useRef, useState, type KeyboardEvent, type PointerEvent, type ReactNode } from 'react';
import { Plus, X } from 'lucide-react';
import {
  placesOfStops,
  readGradient,
  writeGradient,
  type Gradient,
  type Stop,
} from '@sormet/core/style';
import { IconButton } from '../../../parts/IconButton';
import { Ways } from '../../../parts/Ways';
import { PartColour } from './PartColour';
import { PartField } from './PartField';
import type { PicturedCell } from './pictured-cell';
import { usePicture } from './use-picture';

const SHAPES = ['linear', 'radial', 'conic'] as const;
const SHAPE_WORDS = { linear: 'along a line', radial: 'from a point', conic: 'around a point' };

/** Directions as people say them; downwards is how CSS begins (CSS Images 4, 3.1). */
const DIRECTIONS = [
  { word: 'downwards', value: 'to bottom' },
  { word: 'upwards', value: 'to top' },
  { word: 'to the right', value: 'to right' },
  { word: 'to the left', value: 'to left' },
  { word: 'down to the right', value: 'to bottom right' },
  { word: 'down to the left', value: 'to bottom left' },
];

const BEGIN: Gradient = {
  shape: 'linear',
  repeating: false,
  line: undefined,
  stops: [
    { colour: '#0000', at: undefined },
    { colour: '#0008', at: undefined },
  ],
};

const percent = (share: number) => `${Number((Math.min(1, Math.max(0, share)) * 100).toFixed(1))}%`;

/** A gradient by its stops on a bar; a view of the CSS in the cell. */
export function GradientEditor({ cell }: { cell: PicturedCell }): ReactNode {
  const picture = usePicture(cell);
  const [at, setAt] = useState(0);
  const read = picture.css === undefined ? undefined : readGradient(picture.css, picture.isColour);
  const write = (next: Gradient, part: string) =>
    picture.give(picture.words(writeGradient(next)), part);
  if (!read)
    return (
      <div className="picture-editor">
        {picture.css === undefined || picture.css === 'none' ? null : (
          <p className="quiet">
            What stands there is no single gradient: it is edited in its cell, or begun anew here.
          </p>
        )}
        <button
          type="button"
          className="plain-button"
          data-first
          onClick={() => write(BEGIN, 'begin')}
        >
          Begin a gradient
        </button>
      </div>
    );
  const current = Math.min(at, read.stops.length - 1);
  const stop = read.stops[current]!;
  const setStops = (stops: readonly Stop[], part: string) => write({ ...read, stops }, part);
  const setStop = (part: keyof Stop, value: string | undefined) =>
    setStops(
      read.stops.map((each, i) => (i === current ? { ...each, [part]: value } : each)),
      `${current} ${part}`,
    );
  return (
    <div className="picture-editor">
      <div className="layers" role="radiogroup" aria-label="Kind of gradient">
        {SHAPES.map((shape) => (
          <label key={shape}>
            <input
              type="radio"
              name="shape"
              checked={read.shape === shape}
              // A direction is none of another kind.
              onChange={() => write({ ...read, shape, line: undefined }, 'shape')}
            />
            {SHAPE_WORDS[shape]}
          </label>
        ))}
      </div>
      <Bar
        stops={read.stops}
        shows={picture.shows}
        current={current}
        onChoose={setAt}
        onMove={(i, share) =>
          setStops(
            read.stops.map((each, other) => (other === i ? { ...each, at: percent(share) } : each)),
            `${i} at`,
          )
        }
        onAdd={(share, after) => {
          const from = read.stops[after]!;
          setStops(
            [
              ...read.stops.slice(0, after + 1),
              { colour: from.colour, at: percent(share) },
              ...read.stops.slice(after + 1),
            ],
            `add ${share}`,
          );
          setAt(after + 1);
        }}
      />
      <div className="parts">
        <PartColour
          label={`colour of stop ${current + 1}`}
          part={picture.colour(stop.colour)}
          give={(typed) => (typed === '' ? 'A stop has a colour.' : setStop('colour', typed))}
        />
        <PartField
          label="at"
          stored={stop.at === undefined ? '' : picture.words(stop.at)}
          give={(typed) => setStop('at', typed || undefined)}
        />
        {read.stops.length > 2 ? (
          <IconButton
            icon={X}
            name={`Take stop ${current + 1} away`}
            onPress={() =>
              setStops(
                read.stops.filter((_, i) => i !== current),
                `without ${current}`,
              )
            }
          />
        ) : null}
        <IconButton
          icon={Plus}
          name="Add a stop after this one"
          onPress={() => {
            const places = placesOfStops(read.stops);
            const after = Math.min(current, read.stops.length - 2);
            const share = (places[after]! + places[after + 1]!) / 2;
            setStops(
              [
                ...read.stops.slice(0, after + 1),
                { colour: stop.colour, at: percent(share) },
                ...read.stops.slice(after + 1),
              ],
              `add ${share}`,
            );
            setAt(after + 1);
          }}
        />
      </div>
      {read.shape === 'linear' ? (
        <Ways
          label="Direction"
          ways={DIRECTIONS}
          columns={6}
          chosen={read.line ?? 'to bottom'}
          draw={({ value }) => (
            <span
              className="picture is-direction"
              style={{ background: `linear-gradient(${value}, var(--sheet), var(--ink))` }}
              aria-hidden
            />
          )}
          onChoose={(line) =>
            write({ ...read, line: line === 'to bottom' ? undefined : line }, 'line')
          }
        />
      ) : null}
      <div className="parts">
        <PartField
          label={
            read.shape === 'linear'
              ? 'direction'
              : read.shape === 'radial'
                ? 'form and place'
                : 'from and place'
          }
          stored={read.line ?? ''}
          give={(typed) => write({ ...read, line: typed || undefined }, 'line')}
        />
        <label className="part-tick">
          <input
            type="checkbox"
            checked={read.repeating}
            onChange={({ target }) => write({ ...read, repeating: target.checked }, 'repeating')}
          />
          repeated
        </label>
      </div>
    </div>
  );
}

/** The stops on a bar: dragged or stepped by the arrow keys; a press on the bar adds one. */
function Bar({
  stops,
  shows,
  current,
  onChoose,
  onMove,
  onAdd,
}: {
  stops: readonly Stop[];
  shows: (part: string) => string;
  current: number;
  onChoose: (at: number) => void;
  onMove: (at: number, share: number) => void;
  onAdd: (share: number, after: number) => void;
}): ReactNode {
  const bar = useRef<HTMLDivElement>(null);
  const places = placesOfStops(stops);
  const shareAt = (event: PointerEvent) => {
    const area = bar.current!.getBoundingClientRect();
    return (event.clientX - area.left) / area.width;
  };
  const walk = (event: KeyboardEvent, i: number) => {
    const by = (event.shiftKey ? 0.1 : 0.01) * (STEPS[event.key] ?? 0);
    if (by === 0) return;
    event.preventDefault();
    onMove(i, places[i]! + by);
  };
  const drawn = stops.map(({ colour }, i) => `${shows(colour)} ${percent(places[i]!)}`).join(', ');
  return (
    <div
      ref={bar}
      className="gradient-bar"
      style={{ backgroundImage: `linear-gradient(90deg, ${drawn})` }}
      role="group"
      aria-label="Stops"
      onPointerDown={(event) => {
        if (event.target !== event.currentTarget) return;
        const share = shareAt(event);
        const after = places.findLastIndex((place) => place <= share);
        onAdd(share, Math.min(Math.max(0, after), stops.length - 2));
      }}
    >
      {stops.map(({ colour }, i) => (
        <span
          key={i}
          className={i === current ? 'gradient-stop is-lit' : 'gradient-stop'}
          style={{ left: percent(places[i]!), background: shows(colour) }}
          role="slider"
          tabIndex={0}
          data-first={i === 0 ? true : undefined}
          aria-label={`Stop ${i + 1}`}
          aria-valuemin={0}
          aria-valuemax={100}
          aria-valuenow={Math.round(places[i]! * 100)}
          aria-valuetext={percent(places[i]!)}
          onFocus={() => onChoose(i)}
          onPointerDown={(event) => event.currentTarget.setPointerCapture(event.pointerId)}
          onPointerMove={(event) => {
            if (event.currentTarget.hasPointerCapture(event.pointerId)) onMove(i, shareAt(event));
          }}
          onKeyDown={(event) => walk(event, i)}
        />
      ))}
    </div>
  );
}

const STEPS: Readonly<Record<string, number>> = {
  ArrowRight: 1,
  ArrowUp: 1,
  ArrowLeft: -1,
  ArrowDown: -1,
};
