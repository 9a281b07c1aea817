import { readIcon, type DrawnElement, type ReadIcon } from '@sormet/core/format';
import { say } from '@sormet/core/said';

/** An icon of SVG as text: read as XML by the browser, which runs nothing of it, then taken shape by shape. */
export function readSvg(text: string, name: string): ReadIcon {
  const parsed = new DOMParser().parseFromString(text, 'image/svg+xml');
  if (parsed.querySelector('parsererror'))
    return {
      ok: false,
      reason: say('icon-open'),
    };
  return readIcon(drawn(parsed.documentElement), name);
}

/** From which depth on nothing is looked at any more: it is told that it is too deep before. */
const DEEPEST = 150;

function drawn(element: Element, depth = 0): DrawnElement {
  return {
    tag: element.localName,
    ...(element.localName === 'style' ? { text: element.textContent } : {}),
    attributes: Object.fromEntries([...element.attributes].map(({ name, value }) => [name, value])),
    children: depth > DEEPEST ? [] : [...element.children].map((child) => drawn(child, depth + 1)),
  };
}
