import { heldBy } from '@sormet/core/guides';
import type { GuideLine } from '@sormet/core/model';
import { pointIn, type ScreenPoint, type Stage } from '../../canvas/stage';
import { placeWords, pxWords } from './place-words';
import type { GuidesOfStage } from './use-guides';

/** A line that is dragged: one that is there, or one that would be. */
export interface DraggedLine {
  readonly id: string | null;
  readonly axis: GuideLine['axis'];
  readonly at: number;
  /** What holds it, in words. */
  readonly held: string;
}

/** How near a line has to come to be held, in px of the screen. */
const NEAR = 5;

/** Where a line would stand that is dragged to a point: by columns, margins, the baseline and the edges of what is drawn there; free with Alt. */
export function lineAt(
  stage: Stage,
  { guides, places }: GuidesOfStage,
  axis: GuideLine['axis'],
  point: ScreenPoint & { readonly altKey: boolean },
): { readonly at: number; readonly held: string } {
  const to = pointIn(stage, point)[axis];
  if (!point.altKey) {
    const near = NEAR / stage.scale;
    // Other lines hold no line: they could not be told apart any more.
    const others = places[axis].filter(({ is }) => is.of !== 'line');
    const held = heldBy(to, others, axis === 'y' ? guides.baseline : 0, near);
    if (held) return { at: held.at, held: placeWords(held) };
    const edge = edgeNear(stage, axis, point, to, near);
    if (edge !== undefined) return { at: edge, held: 'edge of what is here' };
  }
  return { at: Math.round(to), held: '' };
}

/** The edge of what is drawn at a point, or of anything around it, that is nearest. */
function edgeNear(
  { frame }: Stage,
  axis: GuideLine['axis'],
  point: ScreenPoint,
  to: number,
  near: number,
): number | undefined {
  const page = frame.current?.contentDocument;
  if (!page) return undefined;
  const rect = frame.current!.getBoundingClientRect();
  const scale = rect.width / frame.current!.offsetWidth;
  let best: number | undefined;
  // Just beside an edge one may point at its neighbour.
  for (const aside of [0, -near, near]) {
    const x = (point.clientX - rect.left) / scale + (axis === 'x' ? aside : 0);
    const y = (point.clientY - rect.top) / scale + (axis === 'y' ? aside : 0);
    for (let at = page.elementFromPoint(x, y); at; at = at.parentElement) {
      const box = at.getBoundingClientRect();
      for (const edge of axis === 'x' ? [box.left, box.right] : [box.top, box.bottom])
        if (
          edge >= 0 &&
          Math.abs(edge - to) <= near &&
          (best === undefined || Math.abs(edge - to) < Math.abs(best - to))
        )
          best = edge;
    }
  }
  return best === undefined ? undefined : Math.round(best * 100) / 100;
}

/** Whether a line is dragged off what is drawn: it is taken away then. */
export function isOff(stage: Stage, axis: GuideLine['axis'], point: ScreenPoint): boolean {
  const { x, y } = pointIn(stage, point);
  return axis === 'x' ? x < 0 || x > stage.width : y < 0 || y > stage.height;
}

/** How a line is told while it is dragged. */
export function lineWords(at: number, held: string): string {
  return held === '' ? pxWords(at) : `${pxWords(at)} · ${held}`;
}
