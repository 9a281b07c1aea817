import type { Registry } from './registry';
import type { Resolved } from '@sormet/core/resolve';

/** Where the label of what is selected stands, as seen from its area. */
export type LabelPlace =
  | 'above'
  | 'above right'
  | 'below'
  | 'below right'
  | 'inside'
  | 'inside right';

/** In this order: nearest to where one looks first. */
const PLACES: readonly LabelPlace[] = [
  'above',
  'above right',
  'inside right',
  'below',
  'below right',
  'inside',
];

/** How high a label is, in CSS px of the screen. */
const LABEL_HEIGHT = 18;

/**
 * Where a label covers no words of the page; nothing when it would everywhere: what is selected is named in the
 * sentence as well.
 * @param width of the label, in CSS px of the screen
 * @param scale how large the canvas is shown
 */
export function labelPlace(
  registry: Registry,
  node: Resolved,
  width: number,
  scale: number,
): LabelPlace | undefined {
  const area = registry.rectOf(node);
  const [element] = registry.elementsOf(node);
  if (!area || !element) return undefined;
  const { ownerDocument } = element;
  const sheet = ownerDocument.documentElement.getBoundingClientRect();
  const size = { width: width / scale, height: (LABEL_HEIGHT + 2) / scale };
  return PLACES.find((place) => {
    const rect = rectOf(place, area, size);
    const fits =
      rect.left >= 0 && rect.top >= 0 && rect.right <= sheet.width && rect.bottom <= sheet.height;
    return fits && !coversWords(ownerDocument, rect);
  });
}

function rectOf(
  place: LabelPlace,
  area: DOMRect,
  { width, height }: { width: number; height: number },
): DOMRect {
  const x = place.endsWith('right') ? area.right - width : area.left;
  const y = place.startsWith('above')
    ? area.top - height
    : place.startsWith('below')
      ? area.bottom
      : area.top;
  return new DOMRect(x, y, width, height);
}

/** Whether words of a document stand in an area: those of the elements that are drawn there. */
function coversWords(drawn: Document, area: DOMRect): boolean {
  const seen = new Set<Element>();
  for (const x of [0.02, 0.25, 0.5, 0.75, 0.98])
    for (const y of [0.1, 0.5, 0.9]) {
      const found = drawn.elementFromPoint(area.left + area.width * x, area.top + area.height * y);
      if (found) seen.add(found);
    }
  return [...seen].some((element) =>
    [...element.childNodes].some((child) => {
      if (child.nodeType !== child.TEXT_NODE) return false;
      const range = drawn.createRange();
      range.selectNodeContents(child);
      return [...range.getClientRects()].some(
        (words) =>
          words.left < area.right &&
          words.right > area.left &&
          words.top < area.bottom &&
          words.bottom > area.top,
      );
    }),
  );
}
