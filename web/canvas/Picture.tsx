import { useEffect, useLayoutEffect, useMemo, type ReactNode } from 'react';
import { createPortal } from 'react-dom';
import type { Documents, State } from '@sormet/core/model';
import type { Built } from '@sormet/core/resolve';
import { useLatest } from '../parts/use-latest';
import { elementOf } from './address';
import { CanvasCss, HELD } from './canvas-css';
import { Draw } from './draw';
import { Places, placesOf } from './places';
import { Registry } from './registry';
import { useFrame } from './use-frame';
import './Picture.css';

/**
 * A live picture of a document, small: drawn as the canvas draws it, nothing in it can be pressed or reached.
 * @param drawn at which width it is drawn, in CSS px
 * @param width how wide the picture may be on the screen, and how high
 * @param atMost the share of its full size that it never exceeds
 */
export function Picture({
  documents,
  built,
  drawn,
  width,
  height,
  atMost = 1,
  css: shared,
  held,
  room = null,
  registry: given,
  onMeasure,
}: {
  documents: Documents;
  built: Built;
  drawn: number;
  width: number;
  height: number;
  atMost?: number;
  /** The style sheet, where several pictures have the same one. */
  css?: string | undefined;
  /** How much room is left around it, in its own CSS px: so that a ring of focus is seen whole. */
  room?: number | null;
  /** The state that what is drawn is held in, as though somebody pointed at it or pressed it. */
  held?: State | undefined;
  /** Where it is kept which element shows what, for who draws over the picture. */
  registry?: Registry;
  /** Told how large what is drawn is, in its own CSS px. */
  onMeasure?: (size: { width: number; height: number }) => void;
}): ReactNode {
  const registry = useMemo(() => given ?? new Registry(), [given]);
  const styles = useMemo(() => new CanvasCss(), []);
  const css = useMemo(
    () =>
      (shared ?? styles.of(documents, built.linked)) +
      (room === null ? '' : `body{padding:${room}px!important}`),
    [shared, styles, documents, built, room],
  );
  const places = useMemo(() => placesOf(documents, built.linked.doc), [documents, built]);
  const { language } = built.scope.data;
  const {
    frame,
    body,
    onLoad,
    height: high,
    natural: wide,
  } = useFrame({
    css,
    language: language.tag,
    built,
    width: drawn,
    registry,
    room,
  });
  const natural = Math.min(drawn, wide ?? drawn);
  const scale = Math.min(atMost, width / natural, room === null ? 1 : height / high, 1);
  useLayoutEffect(() => {
    const root = body && held && elementOf(built.root ?? undefined);
    if (!root) return undefined;
    const elements = registry.elementsOf(root);
    for (const element of elements) element.setAttribute(HELD, held.slice(1));
    return () => {
      for (const element of elements) element.removeAttribute(HELD);
    };
  }, [body, built, held, registry]);
  const told = useLatest(onMeasure);
  // Of another document it is told though it is as large as the one before.
  useEffect(() => {
    if (body) told.current?.({ width: natural, height: high });
  }, [told, body, built, natural, high]);
  return (
    <div
      className="picture"
      inert
      style={{
        width: natural * scale,
        height: Math.min(height, high * scale),
        visibility: body ? undefined : 'hidden',
      }}
    >
      <iframe
        ref={frame}
        src="/canvas"
        title="Picture"
        tabIndex={-1}
        aria-hidden
        onLoad={onLoad}
        style={{ width: drawn, height: high, transform: `scale(${scale})` }}
      />
      {body && built.root
        ? createPortal(
            <Places value={places}>
              <Draw node={built.root} registry={registry} />
            </Places>,
            body,
          )
        : null}
    </div>
  );
}
