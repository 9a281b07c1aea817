import { readAreas } from '@sormet/core/style';

/** What can be taken hold of on the canvas to style what is selected, in the canvas's own CSS px. */
export interface Hold {
  readonly of: 'padding' | 'gap' | 'width' | 'line';
  /** What it writes. */
  readonly property: string;
  /** Along which axis it goes, and whether it grows in the direction of that. */
  readonly axis: 'x' | 'y';
  readonly grows: 1 | -1;
  /** By how much more it grows than the pointer goes: what is centred grows on both sides. */
  readonly times: number;
  /** The middle of what is taken hold of. */
  readonly x: number;
  readonly y: number;
  /** The room that it stands for, to be shown while it is held. */
  readonly area: Area;
  /** Where the edge is that moves with it, where that is not its middle. */
  readonly edge?: number;
  /** How much it is now, in px. */
  readonly px: number;
  /** Of a line between tracks: which, and how large all tracks are. */
  readonly line?: { readonly at: number; readonly sizes: readonly number[] };
}

export interface Area {
  readonly left: number;
  readonly top: number;
  readonly width: number;
  readonly height: number;
}

const pxOf = (css: string) => (css.endsWith('px') ? parseFloat(css) : 0);

/**
 * What of an element can be taken hold of: its padding on each side, the first gap along each axis between what it lays
 * out, its width, and the lines between the tracks of a grid.
 */
export function holdsOf(element: HTMLElement): Hold[] {
  const style = element.ownerDocument.defaultView?.getComputedStyle(element);
  if (!style || style.display === 'none' || style.display === 'contents') return [];
  // What is turned or slanted has no edges along the axes of the page.
  const { b, c } = new DOMMatrix(style.transform === 'none' ? undefined : style.transform);
  if (b !== 0 || c !== 0) return [];
  const box = element.getBoundingClientRect();
  return [
    ...(style.display === 'inline'
      ? []
      : [...paddings(box, style), ...widths(element, box, style)]),
    ...gaps(element, style),
    ...lines(box, style),
  ];
}

function paddings(box: DOMRect, style: CSSStyleDeclaration): Hold[] {
  const [top, right, bottom, left] = ['top', 'right', 'bottom', 'left'].map((side) =>
    pxOf(style.getPropertyValue(`padding-${side}`)),
  ) as [number, number, number, number];
  const edge = (side: string) => pxOf(style.getPropertyValue(`border-${side}-width`));
  const inner = {
    left: box.left + edge('left'),
    top: box.top + edge('top'),
    right: box.right - edge('right'),
    bottom: box.bottom - edge('bottom'),
  };
  const [middleX, middleY] = [(inner.left + inner.right) / 2, (inner.top + inner.bottom) / 2];
  const [wide, high] = [inner.right - inner.left, inner.bottom - inner.top];
  const made = { of: 'padding', times: 1 } as const;
  return [
    {
      ...made,
      property: 'padding-top',
      axis: 'y',
      grows: 1,
      x: middleX,
      y: inner.top + top,
      px: top,
      area: { left: inner.left, top: inner.top, width: wide, height: top },
    },
    {
      ...made,
      property: 'padding-bottom',
      axis: 'y',
      grows: -1,
      x: middleX,
      y: inner.bottom - bottom,
      px: bottom,
      area: { left: inner.left, top: inner.bottom - bottom, width: wide, height: bottom },
    },
    {
      ...made,
      property: 'padding-left',
      axis: 'x',
      grows: 1,
      x: inner.left + left,
      y: middleY,
      px: left,
      area: { left: inner.left, top: inner.top, width: left, height: high },
    },
    {
      ...made,
      property: 'padding-right',
      axis: 'x',
      grows: -1,
      x: inner.right - right,
      y: middleY,
      px: right,
      area: { left: inner.right - right, top: inner.top, width: right, height: high },
    },
  ];
}

function widths(element: HTMLElement, box: DOMRect, style: CSSStyleDeclaration): Hold[] {
  const most = pxOf(style.maxWidth);
  const around = element.parentElement?.getBoundingClientRect();
  // What stands in the middle of what is around it grows on both sides.
  const [before, after] = around ? [box.left - around.left, around.right - box.right] : [0, 0];
  const isCentred = before > 8 && Math.abs(before - after) < 2;
  return [
    {
      of: 'width',
      property: most > 0 && Math.abs(most - box.width) < 1 ? 'max-width' : 'width',
      axis: 'x',
      grows: 1,
      times: isCentred ? 2 : 1,
      x: box.right,
      y: (box.top + box.bottom) / 2,
      px: box.width,
      area: { left: box.left, top: box.top, width: box.width, height: box.height },
    },
  ];
}

/** How thick a gap is at least that can be taken hold of. */
const THIN = 2;

function gaps(element: HTMLElement, style: CSSStyleDeclaration): Hold[] {
  if (!/(flex|grid)$/.test(style.display)) return [];
  const boxes = [...element.children]
    .map((child) => child.getBoundingClientRect())
    .filter(({ width, height }) => width > 0 && height > 0);
  const beside = pairOf(boxes, (a, b) => b.left >= a.right - 0.5 && overlap(a, b, 'y'));
  const below = pairOf(boxes, (a, b) => b.top >= a.bottom - 0.5 && overlap(a, b, 'x'));
  const holds: Hold[] = [];
  if (beside) {
    const [a, b] = beside;
    const px = pxOf(style.columnGap);
    const top = Math.max(a.top, b.top);
    const height = Math.min(a.bottom, b.bottom) - top;
    holds.push({
      of: 'gap',
      property: 'column-gap',
      axis: 'x',
      grows: 1,
      times: 1,
      x: (a.right + b.left) / 2,
      y: top + height / 2,
      px,
      area: {
        left: (a.right + b.left - Math.max(px, THIN)) / 2,
        top,
        width: Math.max(px, THIN),
        height,
      },
    });
  }
  if (below) {
    const [a, b] = below;
    const px = pxOf(style.rowGap);
    const left = Math.max(a.left, b.left);
    const width = Math.min(a.right, b.right) - left;
    holds.push({
      of: 'gap',
      property: 'row-gap',
      axis: 'y',
      grows: 1,
      times: 1,
      x: left + width / 2,
      y: (a.bottom + b.top) / 2,
      px,
      area: {
        left,
        top: (a.bottom + b.top - Math.max(px, THIN)) / 2,
        width,
        height: Math.max(px, THIN),
      },
    });
  }
  return holds;
}

function pairOf(
  boxes: readonly DOMRect[],
  fits: (a: DOMRect, b: DOMRect) => boolean,
): [DOMRect, DOMRect] | undefined {
  for (const [i, a] of boxes.entries()) {
    const b = boxes.slice(i + 1).find((other) => fits(a, other));
    if (b) return [a, b];
  }
  return undefined;
}

function overlap(a: DOMRect, b: DOMRect, axis: 'x' | 'y'): boolean {
  return axis === 'x'
    ? Math.min(a.right, b.right) > Math.max(a.left, b.left)
    : Math.min(a.bottom, b.bottom) > Math.max(a.top, b.top);
}

function lines(box: DOMRect, style: CSSStyleDeclaration): Hold[] {
  if (!/grid$/.test(style.display)) return [];
  const made = (axis: 'x' | 'y'): Hold[] => {
    const tracks = tracksAlong(axis, box, style);
    const sizes = tracks.map(({ size }) => size);
    if (sizes.length < 2) return [];
    const gap = pxOf(axis === 'x' ? style.columnGap : style.rowGap);
    return tracks.slice(0, -1).map(({ at, size }, i): Hold => {
      const middle = at + size + gap / 2;
      return {
        of: 'line',
        property: axis === 'x' ? 'grid-template-columns' : 'grid-template-rows',
        axis,
        grows: 1,
        times: 1,
        x: axis === 'x' ? middle : box.left,
        y: axis === 'x' ? box.top : middle,
        edge: middle - gap / 2,
        px: size,
        area:
          axis === 'x'
            ? { left: middle - 1, top: box.top, width: 2, height: box.height }
            : { left: box.left, top: middle - 1, width: box.width, height: 2 },
        line: { at: i, sizes },
      };
    });
  };
  return [...made('x'), ...made('y')];
}

/** A track of a grid along one axis: where it begins, and how large it is, in CSS px of the canvas. */
export interface TrackPlace {
  readonly at: number;
  readonly size: number;
}

/** The tracks of a grid as they are laid out, those that begin by themselves too; none where it is no grid. */
function tracksAlong(axis: 'x' | 'y', box: DOMRect, style: CSSStyleDeclaration): TrackPlace[] {
  const property = axis === 'x' ? 'grid-template-columns' : 'grid-template-rows';
  const sizes = style.getPropertyValue(property).split(' ').map(parseFloat);
  if (sizes.some(Number.isNaN)) return [];
  const gap = pxOf(axis === 'x' ? style.columnGap : style.rowGap);
  const [edge, room] =
    axis === 'x'
      ? [pxOf(style.borderLeftWidth), pxOf(style.paddingLeft)]
      : [pxOf(style.borderTopWidth), pxOf(style.paddingTop)];
  let at = (axis === 'x' ? box.left : box.top) + edge + room;
  return sizes.map((size) => {
    const place = { at, size };
    at += size + gap;
    return place;
  });
}

/** The cells of a grid that has areas with names: its tracks, and whose each cell is; nothing for what has none. */
export interface NamedCells {
  readonly columns: readonly TrackPlace[];
  readonly rows: readonly TrackPlace[];
  readonly areas: readonly (readonly string[])[];
}

/** @returns the cells of an element that lays what it holds out in areas, as it is drawn now */
export function namedCellsOf(element: HTMLElement): NamedCells | undefined {
  const style = element.ownerDocument.defaultView?.getComputedStyle(element);
  if (!style || !/grid$/.test(style.display)) return undefined;
  const areas = readAreas(style.gridTemplateAreas);
  const box = element.getBoundingClientRect();
  const [columns, rows] = [tracksAlong('x', box, style), tracksAlong('y', box, style)];
  const fits = areas && areas.length <= rows.length && (areas[0]?.length ?? 0) <= columns.length;
  return fits ? { columns, rows, areas } : undefined;
}
