import { isVoid } from '@sormet/core/model';
import { sameContent, type Content } from '@sormet/core/resolve';

/** What was written into an element last: it is written again only where that differs. */
const written = new WeakMap<Element, Content>();

/**
 * Writes the content of an element that holds one text and nothing else, by hand and only where it differs: while
 * somebody types into it, what they typed stands there already, and the cursor stays where it is.
 */
export function writeContent(element: HTMLElement, content: Content): void {
  if (element.isContentEditable && typeof content !== 'string') return;
  if (typeof content === 'string') {
    written.delete(element);
    if (element.textContent !== content || element.firstElementChild) element.textContent = content;
    return;
  }
  const before = written.get(element);
  if (before !== undefined && sameContent(before, content)) return;
  element.replaceChildren(...nodesOf(element.ownerDocument, content));
  written.set(element, content);
}

/** Lets what stands in an element go: whatever it shows next is written. */
export function forgetContent(element: HTMLElement): void {
  written.delete(element);
}

/** Content as elements of a document: words as words, never as HTML. */
function nodesOf(document: Document, content: Content): Node[] {
  if (typeof content === 'string') return [document.createTextNode(content)];
  return content.map((fragment) => {
    if (typeof fragment === 'string') return document.createTextNode(fragment);
    const { tag, attributes, children } = fragment;
    const element = document.createElement(tag);
    for (const name in attributes) element.setAttribute(name, attributes[name]!);
    if (!isVoid(tag)) element.append(...nodesOf(document, children));
    return element;
  });
}
