import type { RefObject } from 'react';
import type { Built, ResolvedElement } from '@sormet/core/resolve';
import { ownerIn, slotOwner } from './address';
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
  /** How wide and how high it is drawn, in its own CSS px. */
  readonly width: number;
  readonly height: number;
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

/** What of the open document is drawn there: a node, or the empty slot of an instance. */
export function pickedAt(
  stage: Stage,
  point: ScreenPoint,
): { readonly node: string; readonly slot?: string } | undefined {
  const { x, y } = pointIn(stage, point);
  const drawn = stage.frame.current!.contentDocument!.elementFromPoint(x, y);
  const empty = stage.registry.slotAt(drawn);
  const owner = empty && slotOwner(empty, stage.doc);
  if (owner) return owner;
  const found = stage.registry.at(drawn);
  const node = found && ownerIn(found, stage.doc);
  return node === undefined ? undefined : { node };
}
