import { html, parseFragment, serialize, type DefaultTreeAdapterMap } from 'parse5';
import type { Fault, Said } from '@sormet/core/forms';
import { escapeText } from '@sormet/core/resolve';
import { all, said, saying, type Element, type FormInPage } from './form-in-page';
import { wordsOfFault } from './words-of-faults';

type Node = DefaultTreeAdapterMap['childNode'];

/** What is said where a form says nothing itself. */
const SENT = 'Thank you. Your message was sent.';

/** The words after a form was sent. */
export function wordsAfter({ afterwards }: FormInPage): string {
  return afterwards || SENT;
}

/** The page of a form that was sent: in its place stands what is said then, heard at once (WAI-ARIA 1.2, `status`) and in focus. */
export function pageAfter(form: FormInPage): string {
  const [words] = nodesOf(
    `<p role="status" tabindex="-1" autofocus>${escapeText(wordsAfter(form))}</p>`,
  );
  const { element } = form;
  const siblings = element.parentNode!.childNodes;
  siblings.splice(siblings.indexOf(element), 1, words!);
  words!.parentNode = element.parentNode;
  return serialize(form.page);
}

/**
 * The page of a form that could not be taken: it holds what was typed, and says above it, and at each field, what is wrong (WCAG
 * 2.2, 3.3.1). Passwords are asked for anew.
 */
export function pageWithFaults(
  form: FormInPage,
  typed: Said,
  why: string,
  faults: readonly Fault[],
): string {
  const wrong = new Map(faults.map((fault) => [fault.field, fault]));
  form.fields.forEach((field, i) => {
    const element = form.elements[i]!;
    fill(
      element,
      field.name,
      typed,
      form.fields.slice(0, i).filter((f) => f.name === field.name).length,
    );
    const fault = wrong.get(field);
    if (!fault) return;
    saying(element, 'aria-invalid', 'true');
    const id = `sormet-wrong-${i}`;
    const about = said(element, 'aria-describedby');
    saying(element, 'aria-describedby', about ? `${about} ${id}` : id);
    const [told] = nodesOf(`<strong id="${id}">${escapeText(wordsOfFault(fault))}</strong>`);
    const siblings = element.parentNode!.childNodes;
    siblings.splice(siblings.indexOf(element) + 1, 0, told!);
    told!.parentNode = element.parentNode;
  });
  const items = faults.map(({ field }) => `<li>${escapeText(field.label)}</li>`).join('');
  const alert = nodesOf(
    `<div role="alert" tabindex="-1" autofocus><p>${escapeText(why)}</p>${items === '' ? '' : `<ul>${items}</ul>`}</div>`,
  );
  for (const node of alert) node.parentNode = form.element;
  form.element.childNodes.unshift(...alert);
  return serialize(form.page);
}

/** Puts what was typed into a field. @param nth how many fields of its name stand before it */
function fill(element: Element, name: string, typed: Said, nth: number): void {
  const values = typed.get(name) ?? [];
  const type = said(element, 'type');
  if (element.tagName === 'select') {
    for (const option of all(element, ({ tagName }) => tagName === 'option')) {
      const value = said(option, 'value') ?? textOf(option);
      saying(option, 'selected', values.includes(value) ? '' : undefined);
    }
  } else if (type === 'checkbox' || type === 'radio')
    saying(element, 'checked', values.includes(said(element, 'value') ?? 'on') ? '' : undefined);
  else if (type !== 'hidden' && type !== 'password') {
    const value = values[nth] ?? '';
    if (element.tagName === 'textarea') {
      // A line break that comes first is none of it (HTML Living Standard, 13.1.2.5): one more stands before it.
      const text = nodesOf(`<textarea>\n\n${escapeText(value)}</textarea>`)[0] as Element;
      element.childNodes = text.childNodes;
      for (const child of text.childNodes) child.parentNode = element;
    } else saying(element, 'value', value);
  }
}

function textOf(element: Element): string {
  return element.childNodes
    .map((child) => ('value' in child && child.nodeName === '#text' ? child.value : ''))
    .join('')
    .trim();
}

function nodesOf(text: string): Node[] {
  return parseFragment(text).childNodes.filter(
    (node) => !('namespaceURI' in node) || node.namespaceURI === html.NS.HTML,
  );
}
