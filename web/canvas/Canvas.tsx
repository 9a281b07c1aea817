import {
  useCallback,
  useEffect,
  useLayoutEffect,
  useMemo,
  useRef,
  useState,
  type PointerEvent as ReactPointerEvent,
  type ReactNode,
} from 'react';
import { createPortal } from 'react-dom';
import { useDroppable, useDndMonitor } from '@dnd-kit/core';
import { type EntryDoc, nodeIn } from '@sormet/core/model';
import type { Built, Resolved, ResolvedElement, Varied } from '@sormet/core/resolve';
import { widthsOf } from '@sormet/core/style';
import { useApp, useAppDispatch } from '../store/store';
import { benchActions } from '../store/bench-slice';
import { usePlacing, type Placeable } from './placing';
import { useDerived, useSync } from '../site/SiteProvider';
import { describe, elementOf, ownerIn, resolvedOf, slotsOf, textTarget } from './address';
import { CanvasCss } from './canvas-css';
import { Draw } from './draw';
import { landingAt, type Landing } from './landing';
import { Registry } from './registry';
import { useTyping } from './typing';

/** Width of the canvas at the base, in CSS px: what the sketches of a page are drawn for. */
export const BASE_WIDTH = 1280;

interface CanvasProps {
  readonly doc: string;
  readonly entry: EntryDoc | undefined;
  /** The word and colour of its edge. */
  readonly kind: 'page' | 'definition';
  /** Told the share of its full size at which the canvas is shown. */
  readonly onScale?: (scale: number) => void;
}

/** The built tree of a document for what is shown now; everybody who asks gets the same one. */
export function useBuilt(doc: string, entry: EntryDoc | undefined): Built | undefined {
  return useDerived().builtOf(doc, entry);
}

/** A live picture of a document: nothing inside it runs; everything done to it is done from outside. */
export function Canvas({ doc, entry, kind, onScale }: CanvasProps): ReactNode {
  const derived = useDerived();
  const { documents } = derived;
  const sync = useSync();
  const dispatch = useAppDispatch();
  const { selection, width, typeInto } = useApp((state) => state.bench);
  const built = useBuilt(doc, entry);
  const registry = useMemo(() => new Registry(), []);
  const frame = useRef<HTMLIFrameElement>(null);
  const pane = useRef<HTMLDivElement>(null);
  const [body, setBody] = useState<HTMLElement | null>(null);
  const [paneWidth, setPaneWidth] = useState(0);
  const [height, setHeight] = useState(400);
  const [natural, setNatural] = useState<number | null>(null);
  const [hover, setHover] = useState<string | null>(null);
  const [landing, setLanding] = useState<Landing | null>(null);
  const [zoom, setZoom] = useState<number | null>(null);
  const [, redraw] = useState(0);
  const drag = useRef<{ node: string; x: number; y: number; moving: boolean } | null>(null);
  const placing = usePlacing();

  const max = widthsOf(documents.site).find(({ id }) => id === width)?.max ?? Infinity;
  const frameWidth = Math.min(max, BASE_WIDTH);
  const shownWidth =
    kind === 'definition' && natural !== null ? Math.min(natural, frameWidth) : frameWidth;
  const fit = paneWidth > 0 ? Math.min(1, paneWidth / shownWidth) : 0.5;
  const scale = zoom ?? fit;
  useEffect(() => onScale?.(scale), [onScale, scale]);

  const styles = useMemo(() => new CanvasCss(), []);
  const css = useMemo(
    () => (built ? styles.of(documents, built.linked) : ''),
    [styles, documents, built],
  );

  const typing = useTyping({
    frame,
    onEnd: useCallback(() => setZoom(null), []),
  });

  useLayoutEffect(() => {
    const observer = new ResizeObserver(([entry]) => setPaneWidth(entry!.contentRect.width));
    observer.observe(pane.current!);
    return () => observer.disconnect();
  }, []);

  const measure = useCallback(() => {
    const inner = frame.current?.contentDocument?.body;
    if (!inner) return;
    const root = inner.firstElementChild?.getBoundingClientRect();
    setHeight(Math.max(60, Math.ceil(root?.height ?? inner.scrollHeight)));
    if (kind === 'definition') setNatural(root ? Math.max(240, Math.ceil(root.right + 16)) : null);
    redraw((n) => n + 1);
  }, [kind]);

  useLayoutEffect(() => {
    if (!body) return undefined;
    const style = frame.current!.contentDocument!.getElementById('sormet-css')!;
    if (style.textContent !== css) style.textContent = css;
    measure();
    return undefined;
  }, [body, css, built, frameWidth, measure]);

  useEffect(() => {
    if (!body) return undefined;
    const observer = new ResizeObserver(measure);
    observer.observe(body);
    return () => observer.disconnect();
  }, [body, measure]);

  const onLoad = useCallback(() => {
    const inner = frame.current!.contentDocument!;
    inner.documentElement.lang = documents.site.language;
    const style = inner.createElement('style');
    style.id = 'sormet-css';
    inner.head.append(style);
    inner.addEventListener('submit', (event) => event.preventDefault());
    inner.addEventListener('click', (event) => event.preventDefault());
    setBody(inner.body);
    // Fonts and pictures that arrive later move things.
    void inner.fonts.ready.then(measure);
    inner.addEventListener('load', measure, true);
  }, [documents, measure]);

  /** A point of the screen in the canvas's own px. */
  const pointIn = useCallback(
    (clientX: number, clientY: number) => {
      const rect = frame.current!.getBoundingClientRect();
      return { x: (clientX - rect.left) / scale, y: (clientY - rect.top) / scale };
    },
    [scale],
  );

  const hit = (clientX: number, clientY: number): ResolvedElement | undefined => {
    const { x, y } = pointIn(clientX, clientY);
    return registry.at(frame.current!.contentDocument!.elementFromPoint(x, y));
  };

  const ownerAt = (event: { clientX: number; clientY: number }): string | undefined => {
    const found = hit(event.clientX, event.clientY);
    return found && ownerIn(found, doc);
  };

  const startTyping = useCallback(
    (element: ResolvedElement) => {
      if (!built) return;
      const target = textTarget(documents, built, element);
      if (!target.ok) {
        dispatch(benchActions.notice(target.why));
        return;
      }
      const html = registry.elementsOf(element)[0];
      if (!html) return;
      const size = parseFloat(frame.current!.contentWindow!.getComputedStyle(html).fontSize);
      if (size * scale < 13) setZoom(13 / size);
      typing.start(html, target);
      requestAnimationFrame(() => html.scrollIntoView({ block: 'nearest', inline: 'nearest' }));
    },
    [documents, built, dispatch, registry, scale, typing],
  );

  // What is selected elsewhere, in the outline or by a key, is brought into view.
  const chosen = selection?.doc === doc ? selection.nodes[0] : undefined;
  const brought = useRef<string | undefined>(undefined);
  useEffect(() => {
    if (!body || !built || brought.current === chosen) return;
    brought.current = chosen;
    const node = chosen === undefined ? undefined : resolvedOf(built, chosen)[0];
    const rect = node && registry.rectOf(node);
    const view = pane.current!;
    if (!rect) return;
    const top = rect.top * scale;
    const bottom = rect.bottom * scale;
    if (bottom < view.scrollTop + 24 || top > view.scrollTop + view.clientHeight - 24)
      view.scrollTo({ top: Math.max(0, top - 28) });
  }, [chosen, body, built, registry, scale]);

  // After placing, the cursor goes into the first text of what was placed.
  useEffect(() => {
    if (!typeInto || typeInto.doc !== doc || !built || !body) return;
    const first = resolvedOf(built, typeInto.node)[0];
    const element = first && firstText(first, (each) => textTarget(documents, built, each).ok);
    dispatch(benchActions.typeInto(null));
    if (element) startTyping(element);
  }, [typeInto, doc, built, body, documents, dispatch, startTyping]);

  // Dragging from the shelf.
  const { setNodeRef } = useDroppable({ id: 'canvas-' + doc });
  const pointOf = useRef<{ x: number; y: number } | null>(null);
  useDndMonitor({
    onDragMove({ activatorEvent, delta }) {
      const start = activatorEvent as PointerEvent;
      const at = { x: start.clientX + delta.x, y: start.clientY + delta.y };
      const rect = pane.current!.getBoundingClientRect();
      const over =
        at.x >= rect.left && at.x <= rect.right && at.y >= rect.top && at.y <= rect.bottom;
      pointOf.current = over ? at : null;
      const point = pointIn(at.x, at.y);
      setLanding(
        over && built ? (landingAt(documents, built, registry, point.x, point.y) ?? null) : null,
      );
    },
    onDragEnd({ active }) {
      const place = landing?.place;
      setLanding(null);
      if (place && pointOf.current) placing.place(doc, active.data.current as Placeable, place);
    },
    onDragCancel: () => setLanding(null),
  });

  const onPointerDown = (event: ReactPointerEvent) => {
    if (event.button !== 0) return;
    // What is being typed in a cell goes to what it was typed for, before something else is selected.
    (document.activeElement as HTMLElement | null)?.blur();
    const node = ownerAt(event);
    if (!node) return;
    const nodes =
      event.ctrlKey && selection?.doc === doc
        ? selection.nodes.includes(node)
          ? selection.nodes.filter((id) => id !== node)
          : [...selection.nodes, node]
        : [node];
    dispatch(benchActions.select({ doc, nodes }));
    drag.current = { node, x: event.clientX, y: event.clientY, moving: false };
    (event.currentTarget as HTMLElement).setPointerCapture(event.pointerId);
  };

  const onPointerMove = (event: ReactPointerEvent) => {
    const held = drag.current;
    if (!held) {
      setHover(ownerAt(event) ?? null);
      return;
    }
    if (!held.moving && Math.hypot(event.clientX - held.x, event.clientY - held.y) < 6) return;
    held.moving = true;
    const { x, y } = pointIn(event.clientX, event.clientY);
    setLanding((built && landingAt(documents, built, registry, x, y, held.node)) ?? null);
  };

  const onPointerUp = () => {
    const held = drag.current;
    drag.current = null;
    if (held?.moving && landing)
      sync.edit({ name: 'move', args: { doc, node: held.node, place: landing.place } });
    setLanding(null);
  };

  const onDoubleClick = (event: { clientX: number; clientY: number }) => {
    const found = hit(event.clientX, event.clientY);
    if (found) startTyping(found);
  };

  const outline = (id: string, className: string, label?: string) =>
    resolvedOf(built, id).map((node, i) => {
      const rect = registry.rectOf(node);
      if (!rect) return null;
      return (
        <div
          key={className + id + i}
          className={`mark ${className}`}
          style={{
            left: rect.left * scale,
            top: rect.top * scale,
            width: rect.width * scale,
            height: rect.height * scale,
          }}
        >
          {label && i === 0 ? (
            <span className={rect.top * scale < 22 ? 'mark-label inside' : 'mark-label'}>
              {label}
            </span>
          ) : null}
        </div>
      );
    });

  const selected = selection?.doc === doc ? selection.nodes : [];
  const selectedClass = (id: string) => {
    if (kind === 'definition') return 'mark-definition';
    const stored = nodeIn(documents, doc, id);
    return stored?.kind === 'instance' ? 'mark-instance' : 'mark-plain';
  };
  const exposed = kind === 'definition' && built ? exposedElements(built, registry) : [];
  const slots = landing && built ? slotsOf(built) : [];

  return (
    <div className="canvas" ref={pane}>
      <div
        className="canvas-sheet"
        style={{ width: shownWidth * scale, height: height * scale }}
        ref={setNodeRef}
      >
        <iframe
          ref={frame}
          src="/canvas"
          title={kind === 'page' ? 'The page' : 'The definition'}
          onLoad={onLoad}
          tabIndex={-1}
          style={{ width: frameWidth, height, transform: `scale(${scale})` }}
        />
        {body && built?.root
          ? createPortal(<Draw node={built.root} registry={registry} />, body)
          : null}
        <div
          className={typing.active ? 'canvas-over typing' : 'canvas-over'}
          tabIndex={0}
          role="group"
          aria-label={kind === 'page' ? 'Canvas of the page' : 'Canvas of the definition'}
          data-canvas={kind}
          onPointerDown={onPointerDown}
          onPointerMove={onPointerMove}
          onPointerUp={onPointerUp}
          onPointerLeave={() => setHover(null)}
          onDoubleClick={onDoubleClick}
        >
          {exposed.map((rect, i) => (
            <div
              key={i}
              className="mark mark-exposed"
              style={{
                left: rect.left * scale,
                top: rect.top * scale,
                width: rect.width * scale,
                height: rect.height * scale,
              }}
            />
          ))}
          {hover && !selected.includes(hover)
            ? outline(hover, 'mark-hover', describe(documents, doc, hover))
            : null}
          {typing.active
            ? null
            : selected.map((id) =>
                outline(
                  id,
                  selectedClass(id),
                  selected.length === 1 ? describe(documents, doc, id) : undefined,
                ),
              )}
          {slots.map(({ group, around }, i) => {
            const rect = registry.rectOf(around);
            if (!rect || group.from.kind !== 'slot') return null;
            return (
              <div
                key={i}
                className="mark mark-slot"
                style={{
                  left: rect.left * scale,
                  top: rect.top * scale,
                  width: rect.width * scale,
                  height: rect.height * scale,
                }}
              />
            );
          })}
          {landing ? (
            <div
              className={landing.line.width > 0 ? 'landing-line' : 'landing-line upright'}
              style={{
                left: landing.line.x * scale,
                top: landing.line.y * scale,
                width: landing.line.width > 0 ? landing.line.width * scale : undefined,
                height: landing.line.height > 0 ? landing.line.height * scale : undefined,
              }}
            />
          ) : null}
        </div>
      </div>
    </div>
  );
}

function firstText(
  node: Resolved,
  fits: (element: ResolvedElement) => boolean,
): ResolvedElement | undefined {
  if (node.kind === 'text') return undefined;
  if (
    node.kind === 'element' &&
    node.children.length === 1 &&
    node.children[0]!.kind === 'text' &&
    fits(node)
  )
    return node;
  for (const child of node.children) {
    const found = firstText(child, fits);
    if (found) return found;
  }
  return undefined;
}

/** Whether a property of the definition gives a value. */
function isHandedIn(varied: Varied | undefined): boolean {
  return varied?.source?.is === 'property';
}

/** The areas of the elements of a definition that hold something exposed. */
function exposedElements(built: Built, registry: Registry): DOMRect[] {
  const rects: DOMRect[] = [];
  const visit = (node: Resolved) => {
    if (node.kind === 'text') return;
    if (node.scope.within.doc === built.linked.doc) {
      const { from } = node;
      const reads =
        (from.kind === 'element' &&
          (from.attributes.some(isHandedIn) ||
            isHandedIn(from.shown) ||
            from.children.some(
              (child) => child.kind === 'text' && child.text.is === 'property',
            ))) ||
        (from.kind === 'instance' && Object.values(from.values).some(isHandedIn));
      const element = elementOf(node);
      const rect = reads && element ? registry.rectOf(element) : undefined;
      if (rect) rects.push(rect);
    }
    node.children.forEach(visit);
  };
  if (built.root) visit(built.root);
  return rects;
}
