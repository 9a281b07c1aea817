import { useState, type ReactNode } from 'react';
import { columnsOf } from '@sormet/core/guides';
import type { Stage } from '../../canvas/stage';
import type { DraggedLine } from './dragging-lines';
import { Lines } from './Lines';
import { Rulers } from './Rulers';
import { useGuides } from './use-guides';
import './Guides.css';

/** What a document is lined up with, over it, while that is shown: columns, baseline, lines, and the rulers that new lines are dragged from. */
export function Guides({ stage }: { stage: Stage }): ReactNode {
  const there = useGuides(stage);
  const [dragged, setDragged] = useState<DraggedLine | null>(null);
  if (!there) return null;
  const { scale, width } = stage;
  const { guides } = there;
  const { baseline, margin } = guides;
  return (
    <>
      <div className="guides" aria-hidden>
        {columnsOf(guides, width).map(({ from, to }) => (
          <span
            key={from}
            className="guide-column"
            style={{ left: from * scale, width: (to - from) * scale }}
          />
        ))}
        {margin > 0 ? (
          <>
            <span className="guide-margin" style={{ left: margin * scale }} />
            <span className="guide-margin" style={{ left: (width - margin) * scale }} />
          </>
        ) : null}
        {baseline > 0 ? (
          <span
            className="guide-baseline"
            style={{ backgroundSize: `100% ${baseline * scale}px` }}
          />
        ) : null}
      </div>
      <Rulers stage={stage} there={there} onDrag={setDragged} />
      <Lines stage={stage} there={there} dragged={dragged} onDrag={setDragged} />
    </>
  );
}
