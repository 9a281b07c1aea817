import { useRef, type KeyboardEvent, type PointerEvent, type ReactNode } from 'react';
import type { GuideLine } from '@sormet/core/model';
import type { Stage } from '../../canvas/stage';
import { useSync } from '../../site/SiteProvider';
import { isOff, lineAt, lineWords, type DraggedLine } from './dragging-lines';
import { pxWords } from './place-words';
import type { GuidesOfStage } from './use-guides';

/** The lines of a document, each to be dragged, moved by arrow keys, and taken away by dragging it off or by Delete. */
export function Lines({
  stage,
  there,
  dragged,
  onDrag,
}: {
  stage: Stage;
  there: GuidesOfStage;
  dragged: DraggedLine | null;
  onDrag: (line: DraggedLine | null) => void;
}): ReactNode {
  const sync = useSync();
  const held = useRef<string | null>(null);
  const stand = (id: string, stands: GuideLine | null, group?: string) =>
    sync.edit(
      { name: 'setLine', args: { doc: stage.doc, line: id, stands } },
      group === undefined ? {} : { group },
    );
  const end = (event: PointerEvent, id: string, line: GuideLine) => {
    event.stopPropagation();
    if (held.current !== id) return;
    held.current = null;
    const moved = dragged !== null;
    onDrag(null);
    if (!moved) return;
    const off = isOff(stage, line.axis, event);
    stand(id, off ? null : { ...line, at: lineAt(stage, there, line.axis, event).at });
  };
  const press = (event: KeyboardEvent, id: string, line: GuideLine) => {
    const { key, shiftKey } = event;
    const [less, more] = line.axis === 'x' ? ['ArrowLeft', 'ArrowRight'] : ['ArrowUp', 'ArrowDown'];
    const by = key === less ? -1 : key === more ? 1 : 0;
    const isGone = key === 'Delete' || key === 'Backspace';
    if (by === 0 && !isGone) return;
    event.preventDefault();
    event.stopPropagation();
    if (isGone) stand(id, null);
    else {
      const at = Math.max(0, line.at + by * (shiftKey ? 10 : 1));
      stand(id, { ...line, at }, `line ${id}`);
    }
  };
  return (
    <>
      {there.lines.map(({ id, line }) => {
        const isDragged = dragged?.id === id;
        return (
          <span
            key={id}
            className={`guide-line is-${line.axis}`}
            style={placeOf(stage, line.axis, isDragged ? dragged.at : line.at)}
            role="slider"
            tabIndex={0}
            aria-label={line.axis === 'x' ? 'Upright line' : 'Level line'}
            aria-orientation={line.axis === 'x' ? 'horizontal' : 'vertical'}
            aria-valuemin={0}
            aria-valuemax={line.axis === 'x' ? stage.width : stage.height}
            aria-valuenow={line.at}
            aria-valuetext={pxWords(line.at)}
            title={`${pxWords(line.at)}: drag it, or off the page to take it away`}
            onKeyDown={(event) => press(event, id, line)}
            onPointerDown={(event) => {
              event.stopPropagation();
              if (event.button !== 0) return;
              event.currentTarget.setPointerCapture(event.pointerId);
              held.current = id;
            }}
            onPointerMove={(event) => {
              event.stopPropagation();
              if (held.current === id)
                onDrag({ id, axis: line.axis, ...lineAt(stage, there, line.axis, event) });
            }}
            onPointerUp={(event) => end(event, id, line)}
            onPointerCancel={() => {
              held.current = null;
              onDrag(null);
            }}
            onClick={(event) => event.stopPropagation()}
            onDoubleClick={(event) => event.stopPropagation()}
          >
            {isDragged ? <Told dragged={dragged} /> : null}
          </span>
        );
      })}
      {dragged?.id === null ? (
        <span
          className={`guide-line is-${dragged.axis} is-new`}
          style={placeOf(stage, dragged.axis, dragged.at)}
        >
          <Told dragged={dragged} />
        </span>
      ) : null}
    </>
  );
}

function Told({ dragged: { at, held } }: { dragged: DraggedLine }): ReactNode {
  return <span className="guide-told">{lineWords(at, held)}</span>;
}

const placeOf = ({ scale }: Stage, axis: GuideLine['axis'], at: number) =>
  axis === 'x' ? { left: at * scale } : { top: at * scale };
