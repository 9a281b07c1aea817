import { useRef, type PointerEvent, type ReactNode } from 'react';
import { newId, type GuideLine } from '@sormet/core/model';
import type { Stage } from '../../canvas/stage';
import { useSync } from '../../site/SiteProvider';
import { useBench } from '../../store/store';
import { isOff, lineAt, type DraggedLine } from './dragging-lines';
import type { GuidesOfStage } from './use-guides';

/** From how many CSS px to the next number of a ruler, and how far apart numbers stand at least on the screen. */
const STEPS = [50, 100, 200, 500, 1000];
const APART = 44;

/** A ruler along the top and one along the left, in CSS px; a line is dragged from either into the page. */
export function Rulers({
  stage,
  there,
  onDrag,
}: {
  stage: Stage;
  there: GuidesOfStage;
  onDrag: (line: DraggedLine | null) => void;
}): ReactNode {
  return (
    <>
      <Ruler stage={stage} there={there} onDrag={onDrag} axis="y" long={stage.width} />
      <Ruler stage={stage} there={there} onDrag={onDrag} axis="x" long={stage.height} />
    </>
  );
}

/** @param axis across which the lines stand that are dragged from it: from the top level ones, from the left upright ones */
function Ruler({
  stage,
  there,
  onDrag,
  axis,
  long,
}: {
  stage: Stage;
  there: GuidesOfStage;
  onDrag: (line: DraggedLine | null) => void;
  axis: GuideLine['axis'];
  long: number;
}): ReactNode {
  const sync = useSync();
  const { width } = useBench('width');
  const isHeld = useRef(false);
  const { scale } = stage;
  const step = STEPS.find((each) => each * scale >= APART) ?? STEPS.at(-1)!;
  const along = axis === 'y' ? 'left' : 'top';
  const end = (event: PointerEvent) => {
    event.stopPropagation();
    if (!isHeld.current) return;
    isHeld.current = false;
    onDrag(null);
    if (isOff(stage, axis, event) || isOverRuler(event)) return;
    const { at } = lineAt(stage, there, axis, event);
    sync.edit({
      name: 'setLine',
      args: { doc: stage.doc, line: newId(), stands: { axis, at, width } },
    });
  };
  return (
    <div className={`ruler is-${along}`}>
      <div
        className="ruler-strip"
        title={`Drag from here ${axis === 'y' ? 'down' : 'to the right'}: a line to line things up with`}
        data-ruler={axis}
        onPointerDown={(event) => {
          event.stopPropagation();
          if (event.button !== 0) return;
          event.currentTarget.setPointerCapture(event.pointerId);
          isHeld.current = true;
        }}
        onPointerMove={(event) => {
          event.stopPropagation();
          if (isHeld.current) onDrag({ id: null, axis, ...lineAt(stage, there, axis, event) });
        }}
        onPointerUp={end}
        onPointerCancel={() => {
          isHeld.current = false;
          onDrag(null);
        }}
        onClick={(event) => event.stopPropagation()}
        onDoubleClick={(event) => event.stopPropagation()}
      >
        {Array.from({ length: Math.ceil(long / step) }, (_, i) => i * step).map((px) => (
          <span key={px} className="ruler-number" style={{ [along]: px * scale }}>
            {px}
          </span>
        ))}
      </div>
    </div>
  );
}

/** Whether it is let go where it was taken hold of: nothing was dragged out. */
function isOverRuler({ clientX, clientY, currentTarget }: PointerEvent): boolean {
  const box = currentTarget.getBoundingClientRect();
  return clientX >= box.left && clientX <= box.right && clientY >= box.top && clientY <= box.bottom;
}
