import {
  lazy,
  Suspense,
  useCallback,
  useEffect,
  useMemo,
  useRef,
  useState,
  type ComponentType,
  type ReactNode,
} from 'react';
import { createPortal } from 'react-dom';
import { useDroppable } from '@dnd-kit/core';
import type { Documents, EntryDoc } from '@sormet/core/model';
import { widthsOf } from '@sormet/core/style';
import { useDerived } from '../site/SiteProvider';
import { benchActions } from '../store/bench-slice';
import { useAppDispatch, useBench } from '../store/store';
import { CanvasCss } from './canvas-css';
import { Draw } from './draw';
import { Marks } from './Marks';
import { Places, placesOf } from './places';
import { Registry } from './registry';
import { elementAt, type Stage } from './stage';
import { useBuilt } from './use-built';
import { useFileDropping } from './use-file-dropping';
import { useDropping } from './use-dropping';
import { useFrame } from './use-frame';
import { useHolding } from './use-holding';
import { useInView } from './use-in-view';
import { usePaneWidth } from './use-pane-width';
import { usePointing } from './use-pointing';
import { useTypingHere } from './use-typing-here';
import { useZooming } from './use-zooming';
import './Canvas.css';

const RichButtons = lazy(() =>
  import('../values/rich/RichButtons').then(({ RichButtons: loaded }) => ({ default: loaded })),
);

/** Width of the canvas at the base, in CSS px: what the sketches of a page are drawn for. */
export const BASE_WIDTH = 1280;

interface CanvasProps {
  readonly doc: string;
  readonly entry: EntryDoc | undefined;
  /** The word and colour of its edge. */
  readonly kind: 'page' | 'definition';
  /** The width at which a definition is drawn, in CSS px; `null` for one at which its text can be read. */
  readonly drawnAt?: number | null;
  readonly onDrawn?: (drawn: Drawn) => void;
  /** What else lies over it. */
  readonly over?: ComponentType<{ stage: Stage; entry: EntryDoc | undefined }> | undefined;
}

/** At which width something is drawn, in CSS px, and at which share of its full size. */
export interface Drawn {
  readonly width: number;
  readonly scale: number;
}

export const UNDRAWN: Drawn = Object.freeze({ width: BASE_WIDTH, scale: 1 });

/** The share of its full size at which a definition's text can still be read. */
const LEGIBLE_SHARE = 0.68;

/** A site as it would be if all of it stood in a theme. */
function inTheme(documents: Documents, theme: string | null): Documents {
  return theme === null ? documents : documents.with({ ...documents.site, theme });
}

/** The width at which a definition is drawn so that it fits its pane legibly: in whole tens, never narrower than a telephone. */
function legibleWidth(paneWidth: number): number {
  if (paneWidth === 0) return BASE_WIDTH;
  return Math.min(BASE_WIDTH, Math.max(360, Math.floor(paneWidth / LEGIBLE_SHARE / 10) * 10));
}

/** A live picture of a document: nothing inside it runs; everything done to it is done from outside. */
export function Canvas({
  doc,
  entry,
  kind,
  drawnAt = null,
  onDrawn,
  over: Over,
}: CanvasProps): ReactNode {
  const { documents } = useDerived();
  const { site } = documents;
  const { width, zoom: zooms, heldTheme } = useBench('width', 'zoom', 'heldTheme');
  const dispatch = useAppDispatch();
  const zoom = zooms[kind];
  const setZoom = useCallback(
    (share: number | null) => dispatch(benchActions.setZoom({ [kind]: share })),
    [dispatch, kind],
  );
  const built = useBuilt(doc, entry);
  const registry = useMemo(() => new Registry(), []);
  const styles = useMemo(() => new CanvasCss(), []);
  const css = useMemo(
    () => (built ? styles.of(inTheme(documents, heldTheme), built.linked) : ''),
    [styles, documents, built, heldTheme],
  );
  const places = useMemo(() => placesOf(documents, doc), [documents, doc]);
  const pane = useRef<HTMLDivElement>(null);
  const paneWidth = usePaneWidth(pane);

  const max = widthsOf(site).find(({ id }) => id === width)?.max ?? Infinity;
  const full = kind === 'page' ? BASE_WIDTH : (drawnAt ?? legibleWidth(paneWidth));
  const frameWidth = Math.min(max, full);
  const { frame, body, onLoad, height, natural } = useFrame({
    css,
    language: built?.scope.data.language.tag ?? site.language,
    built,
    width: frameWidth,
    registry,
  });
  const shownWidth =
    kind === 'definition' && natural !== null ? Math.min(natural, frameWidth) : frameWidth;
  const fit = paneWidth > 0 ? Math.min(1, paneWidth / shownWidth) : 0.5;
  const [typingZoom, setTypingZoom] = useState<number | null>(null);
  const scale = typingZoom ?? zoom ?? fit;
  useEffect(() => onDrawn?.({ width: frameWidth, scale }), [onDrawn, frameWidth, scale]);

  const stage: Stage = {
    doc,
    built,
    registry,
    frame,
    pane,
    body,
    scale,
    width: shownWidth,
    height,
  };
  const typing = useTypingHere(stage, setTypingZoom);
  const { hover, area, ...pointing } = usePointing(stage);
  useInView(stage);
  useZooming(stage, zoom, setZoom);
  useHolding(stage);
  const { under } = useDropping(stage);
  const { over, ...fileDropping } = useFileDropping(stage);
  const { setNodeRef } = useDroppable({ id: 'canvas-' + doc });

  return (
    <div
      className="canvas"
      ref={pane}
      // Beside the sheet nothing of the document is: what was selected is let go.
      onPointerDown={({ target, button }) => {
        if (target === pane.current && button === 0)
          dispatch(benchActions.select({ doc, nodes: [] }));
      }}
    >
      {typing.rich ? (
        <div className="typing-bar">
          <Suspense fallback={null}>
            <RichButtons
              editor={typing.rich.editor}
              label="Rich text on the page"
              line={typing.rich.line}
            />
          </Suspense>
        </div>
      ) : null}
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
          ? createPortal(
              <Places value={places}>
                <Draw node={built.root} registry={registry} />
              </Places>,
              body,
            )
          : null}
        <div
          className={typing.active ? 'canvas-over typing' : 'canvas-over'}
          tabIndex={0}
          role="group"
          aria-label={kind === 'page' ? 'Canvas of the page' : 'Canvas of the definition'}
          data-canvas={kind}
          {...pointing}
          {...fileDropping}
          onDoubleClick={(event) => {
            const found = elementAt(stage, event);
            if (found) typing.start(found);
          }}
        >
          <Marks
            stage={stage}
            kind={kind}
            hover={under ?? hover}
            over={over}
            area={area}
            typing={typing.active}
          />
          {Over && !typing.active ? <Over stage={stage} entry={entry} /> : null}
        </div>
      </div>
    </div>
  );
}
