import { useCallback, useEffect, useLayoutEffect, useRef, useState, type RefObject } from 'react';
import type { Built } from '@sormet/core/resolve';
import { showPlaces } from './places';
import type { Registry } from './registry';

/** The frame that a document is drawn in, and how large what it shows is, in its own CSS px. */
export interface Frame {
  readonly frame: RefObject<HTMLIFrameElement | null>;
  /** Where to draw; nothing until the frame is there. */
  readonly body: HTMLElement | null;
  readonly onLoad: () => void;
  readonly height: number;
  /** How far a definition reaches to the right, with some room beside it; nothing when it shows nothing. */
  readonly natural: number | null;
}

/** How high a frame is before anything was measured in it. */
const UNMEASURED = 400;

/**
 * Keeps the frame's stylesheet and its measures up to date. Things move when the tree, the CSS or the width is another,
 * and when fonts and pictures arrive later; whoever draws over it is drawn again then.
 */
export function useFrame({
  css,
  language,
  built,
  width,
  registry,
  room = null,
}: {
  css: string;
  language: string;
  built: Built | undefined;
  width: number;
  /** What is drawn in it is known there, and whoever draws over it has asked there; without it, all is taken to have moved. */
  registry?: Registry;
  /** How much room is left around what is drawn, in CSS px; without it, it has as much as anybody needs who works on it. */
  room?: number | null;
}): Frame {
  const frame = useRef<HTMLIFrameElement>(null);
  const [body, setBody] = useState<HTMLElement | null>(null);
  const [height, setHeight] = useState(UNMEASURED);
  const [natural, setNatural] = useState<number | null>(null);
  const [, redraw] = useState(0);

  // A frame that is moved in its list is loaded anew by the browser. Until it is, what was drawn stands in a document that
  // no window shows: it is kept up to date like any other, and measured no more.
  const measure = useCallback(() => {
    const inner = frame.current?.contentDocument?.body;
    if (!inner || inner !== body) return;
    const root = inner.firstElementChild?.getBoundingClientRect();
    if (room === null) {
      setHeight(Math.max(60, Math.ceil(root?.height ?? inner.scrollHeight)));
      setNatural(root ? Math.max(240, Math.ceil(root.right + 16)) : null);
    } else {
      setHeight(Math.ceil(root ? root.bottom + room : inner.scrollHeight));
      setNatural(root ? Math.ceil(root.right + room) : null);
    }
    if (registry?.hasMoved() ?? true) redraw((n) => n + 1);
  }, [body, registry, room]);

  useLayoutEffect(() => {
    if (!body) return;
    const style = body.ownerDocument.getElementById('sormet-css')!;
    if (style.textContent !== css) style.textContent = css;
    registry?.setDrawn(built);
    showPlaces(body);
    measure();
  }, [body, css, built, width, registry, measure]);

  useEffect(() => {
    if (!body?.ownerDocument.defaultView) return undefined;
    const inner = body.ownerDocument;
    const observer = new ResizeObserver(measure);
    observer.observe(body);
    void inner.fonts.ready.then(measure);
    inner.addEventListener('load', measure, true);
    return () => {
      observer.disconnect();
      inner.removeEventListener('load', measure, true);
    };
  }, [body, measure]);

  const onLoad = useCallback(() => {
    const inner = frame.current!.contentDocument!;
    inner.documentElement.lang = language;
    const style = inner.createElement('style');
    style.id = 'sormet-css';
    inner.head.append(style);
    inner.addEventListener('submit', (event) => event.preventDefault());
    inner.addEventListener('click', (event) => event.preventDefault());
    setBody(inner.body);
  }, [language]);

  return { frame, body, onLoad, height, natural };
}
