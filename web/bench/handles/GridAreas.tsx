import { useEffect, useRef, useState, type PointerEvent, type ReactNode } from 'react';
import { areaPlaces, stretched, writeAreas, type AreaPlace } from '@sormet/core/style';
import { pointIn, type Stage } from '../../canvas/stage';
import type { Selected } from '../../ledger/use-selected';
import { namedCellsOf, type NamedCells, type TrackPlace } from './holds';

/** The areas of the grid that is selected, over it: each with its name, and a corner by which it is made larger or smaller. */
export function GridAreas({
  stage,
  selected,
  give,
  say,
}: {
  stage: Stage;
  selected: Selected;
  /** Declares a property; what is given in one group is one step. @returns why not, where it may not */
  give: (property: string, css: string, group: string) => string | undefined;
  say: (words: string) => void;
}): ReactNode {
  const cells = useNamedCells(stage, selected);
  const [held, setHeld] = useState<{ name: string; group: string } | null>(null);
  if (!cells) return null;
  const { scale } = stage;
  const drag = (event: PointerEvent<HTMLElement>) => {
    event.stopPropagation();
    if (!held) return;
    const { x, y } = pointIn(stage, event);
    const next = stretched(cells.areas, held.name, {
      x: Math.min(trackAt(cells.columns, x), cells.areas[0]!.length - 1),
      y: Math.min(trackAt(cells.rows, y), cells.areas.length - 1),
    });
    if (!next) return say(`“${held.name}” cannot reach there: another area would be cut or gone.`);
    const css = writeAreas(next);
    if (css === writeAreas(cells.areas)) return;
    const reason = give('grid-template-areas', css, held.group);
    if (reason) say(reason);
  };
  return areaPlaces(cells.areas).map((place) => {
    const { left, top, right, bottom } = edgesOf(place, cells);
    const isHeld = held?.name === place.name;
    return (
      <span
        key={place.name}
        className={`grid-area ${isHeld ? 'is-held' : ''}`}
        style={{
          left: left * scale,
          top: top * scale,
          width: (right - left) * scale,
          height: (bottom - top) * scale,
        }}
      >
        <span className="grid-area-name">{place.name}</span>
        <span
          className="grid-area-corner"
          data-area={place.name}
          title={`${place.name}: drag to where it ends`}
          onPointerDown={(event) => {
            event.stopPropagation();
            if (event.button !== 0) return;
            event.currentTarget.setPointerCapture(event.pointerId);
            setHeld({ name: place.name, group: `area ${place.name} ${Date.now()}` });
          }}
          onPointerMove={drag}
          onPointerUp={(event) => {
            event.stopPropagation();
            setHeld(null);
          }}
          onPointerCancel={() => setHeld(null)}
          onClick={(event) => event.stopPropagation()}
          onDoubleClick={(event) => event.stopPropagation()}
        />
      </span>
    );
  });
}

/** The track that a place is in, or the nearest before it. */
function trackAt(tracks: readonly TrackPlace[], at: number): number {
  return Math.max(0, tracks.filter((track) => track.at <= at).length - 1);
}

function edgesOf({ x, y, wide, high }: AreaPlace, { columns, rows }: NamedCells) {
  const [lastColumn, lastRow] = [columns[x + wide - 1]!, rows[y + high - 1]!];
  return {
    left: columns[x]!.at,
    top: rows[y]!.at,
    right: lastColumn.at + lastColumn.size,
    bottom: lastRow.at + lastRow.size,
  };
}

/** The cells with names of what is selected as it is drawn now: measured once that is there, told anew when it differs. */
function useNamedCells(stage: Stage, { resolved }: Selected): NamedCells | undefined {
  const { registry } = stage;
  const [cells, setCells] = useState<NamedCells>();
  const last = useRef('');
  useEffect(() => {
    const [element] = resolved ? registry.elementsOf(resolved) : [];
    // Asked for, so that it is drawn again when it stands elsewhere.
    if (element) registry.areaOf(element);
    const now = element && namedCellsOf(element);
    const key = JSON.stringify(now) ?? '';
    if (key === last.current) return;
    last.current = key;
    setCells(now);
    // The stage is another whenever something was drawn or has moved.
  }, [stage, registry, resolved]);
  return cells;
}
