import type { RefObject } from 'react';
import type { Built, ResolvedElement } from '@sormet/core/resolve';
import { ownerIn } from './address';
import type { Registry } from './registry';

/** A document as it stands on the screen: what is drawn, where, and at which share of its size. */
export interface Stage {
  readonly doc: string;
  readonly built: Built | undefined;
  readonly registry: Registry;
  readonly frame: RefObject<HTMLIFrameElement | null>;
  readonly pane: RefObject<HTMLDivElement | null>;
  readonly body: HTMLElement | null;
  readonly scale: number;
}

/** A point of the screen. */
export interface ScreenPoint {
  readonly clientX: number;
  readonly clientY: number;
}

/** A point of the screen in the canvas's own CSS px. */
export function pointIn(
  { frame, scale }: Pick<Stage, 'frame' | 'scale'>,
  { clientX, clientY }: ScreenPoint,
): { x: number; y: number } {
  const rect = frame.current!.getBoundingClientRect();
  return { x: (clientX - rect.left) / scale, y: (clientY - rect.top) / scale };
}

/** The resolved element that is drawn at a point of the screen. */
export function elementAt(stage: Stage, point: ScreenPoint): ResolvedElement | undefined {
  const { x, y } = pointIn(stage, point);
  return stage.registry.at(stage.frame.current!.contentDocument!.elementFromPoint(x, y));
}

/** The node of the open document that is drawn there. */
export function ownerAt(stage: Stage, point: ScreenPoint): string | undefined {
  const found = elementAt(stage, point);
  return found && ownerIn(found, stage.doc);
}
