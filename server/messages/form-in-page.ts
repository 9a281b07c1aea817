import { parse, type DefaultTreeAdapterMap } from 'parse5';
import type { Field, FieldType } from '@sormet/core/forms';

export type Page = DefaultTreeAdapterMap['document'];
export type Element = DefaultTreeAdapterMap['element'];
type Node = DefaultTreeAdapterMap['node'];

/** A form as it stands in a page that visitors get: where it stands, what it is called, what it asks. */
export interface FormInPage {
  readonly page: Page;
  readonly element: Element;
  readonly label: string;
  readonly fields: readonly Field[];
  /** The elements of the fields, in their order. */
  readonly elements: readonly Element[];
  /** What is said after it was sent, `''` where nothing is. */
  readonly afterwards: string;
  /** Where one is led then, `''` for nowhere. */
  readonly leadsTo: string;
}

/**
 * The form of a page that is sent from a place (see `core/resolve/sent-forms.ts`): read from the very page that visitors get, so
 * that what is asked there is what is asked here. Nothing where there is none such any more.
 */
export function formInPage(html: string, place: string): FormInPage | undefined {
  const page = parse(html);
  const element = find(
    page,
    (each) =>
      each.tagName === 'form' &&
      said(each, FORM) !== undefined &&
      said(each, 'action') === `?send=${place}`,
  );
  if (!element) return undefined;
  const elements = all(element, isField);
  return {
    page,
    element,
    label: labelOfForm(page, element),
    fields: elements.map((each) => fieldOf(page, element, each)),
    elements,
    afterwards: said(element, 'data-sormet-afterwards') ?? '',
    leadsTo: said(element, 'data-sormet-leads-to') ?? '',
  };
}

const FORM = 'data-sormet-form';

/** What an attribute of an element says; nothing where it has none. */
export function said(element: Element, name: string): string | undefined {
  return element.attrs.find((each) => each.name === name)?.value;
}

/** Has an attribute of an element say something, or be gone. */
export function saying(element: Element, name: string, value: string | undefined): void {
  const others = element.attrs.filter((each) => each.name !== name);
  element.attrs = value === undefined ? others : [...others, { name, value }];
}

function isElement(node: Node): node is Element {
  return 'tagName' in node;
}

/** The elements below a node that are so, in the order of the page. */
export function all(node: Node, isSo: (element: Element) => boolean): Element[] {
  if (!('childNodes' in node)) return [];
  return node.childNodes.flatMap((child) =>
    isElement(child) ? [...(isSo(child) ? [child] : []), ...all(child, isSo)] : [],
  );
}

function find(node: Node, isSo: (element: Element) => boolean): Element | undefined {
  return all(node, isSo)[0];
}

/** The words in a node, those of what is filled in left out. */
function words(node: Node): string {
  if ('value' in node && node.nodeName === '#text') return node.value;
  if (isElement(node) && isField(node)) return '';
  return 'childNodes' in node ? node.childNodes.map(words).join('') : '';
}

function tidied(text: string): string {
  return text.replace(/\s+/g, ' ').trim();
}

const BUTTONS = new Set(['button', 'submit', 'reset', 'image']);

function isField({ tagName, attrs }: Element): boolean {
  if (tagName === 'textarea' || tagName === 'select') return true;
  return tagName === 'input' && !attrs.some((a) => a.name === 'type' && BUTTONS.has(a.value));
}

function labelOfForm(page: Page, form: Element): string {
  const named = said(form, 'aria-label');
  const by = said(form, 'aria-labelledby');
  const naming =
    (by === undefined ? undefined : find(page, (each) => said(each, 'id') === by)) ??
    find(form, ({ tagName }) => /^(?:h[1-6]|legend)$/.test(tagName)) ??
    headingBefore(page, form) ??
    find(page, ({ tagName }) => tagName === 'title');
  return tidied(named ?? (naming ? words(naming) : ''));
}

/** The heading under which an element stands. */
function headingBefore(page: Page, element: Element): Element | undefined {
  const found = all(page, (each) => each === element || /^h[1-6]$/.test(each.tagName));
  return found[found.indexOf(element) - 1];
}

/** What people call a field: its label, what it is heard as, else the name under which it is sent. */
function labelOf(page: Page, form: Element, field: Element): string {
  const id = said(field, 'id');
  const around = ancestor(field, ({ tagName }) => tagName === 'label');
  const label =
    around ??
    (id === undefined
      ? undefined
      : find(page, (each) => each.tagName === 'label' && said(each, 'for') === id));
  const legend =
    said(field, 'type') === 'radio'
      ? ancestor(field, ({ tagName }) => tagName === 'fieldset', form)
      : undefined;
  const group = legend && find(legend, ({ tagName }) => tagName === 'legend');
  return (
    tidied(group ? words(group) : label ? words(label) : '') ||
    tidied(said(field, 'aria-label') ?? '') ||
    said(field, 'name') ||
    ''
  );
}

function ancestor(
  element: Element,
  isSo: (element: Element) => boolean,
  until?: Element,
): Element | undefined {
  for (let at = element.parentNode; at && at !== until && isElement(at); at = at.parentNode)
    if (isSo(at)) return at;
  return undefined;
}

const TYPES: ReadonlySet<string> = new Set<FieldType>([
  'text',
  'search',
  'tel',
  'url',
  'email',
  'password',
  'number',
  'range',
  'date',
  'time',
  'checkbox',
  'radio',
  'hidden',
]);

function typeOf(element: Element): FieldType {
  if (element.tagName !== 'input') return element.tagName as 'textarea' | 'select';
  const type = (said(element, 'type') ?? 'text').toLowerCase();
  // What is no type is text (HTML Living Standard, 4.10.5: invalid value default).
  return TYPES.has(type) ? (type as FieldType) : 'text';
}

function fieldOf(page: Page, form: Element, element: Element): Field {
  const type = typeOf(element);
  const varies = varying(element);
  /** What goes by what a visitor does may be another there than in the page as it came: that is not asked. */
  const limit = (name: string) => (varies.has(name) ? undefined : said(element, name));
  const whole = (name: string) => {
    const length = limit(name);
    return length !== undefined && /^\d+$/.test(length) ? Number(length) : undefined;
  };
  const isBarred =
    said(element, 'disabled') !== undefined ||
    said(element, 'readonly') !== undefined ||
    ancestor(
      element,
      (each) => each.tagName === 'fieldset' && said(each, 'disabled') !== undefined,
    ) !== undefined;
  const base = { name: said(element, 'name') ?? '', label: labelOf(page, form, element) };
  const wrong = said(element, 'data-sormet-wrong');
  const isTrap = said(element, 'data-sormet-trap') !== undefined;
  const options = optionsOf(element, type);
  const more = {
    ...(wrong ? { wrong } : {}),
    ...(isTrap ? { isTrap } : {}),
    ...(options ? { options } : {}),
  };
  if (isBarred) return { ...base, type: 'hidden', isRequired: false, ...more };
  const limits = {
    min: limit('min'),
    max: limit('max'),
    step: limit('step'),
    begins: limit('value'),
    pattern: limit('pattern'),
    shortest: whole('minlength'),
    longest: whole('maxlength'),
  };
  const isRequired = limit('required') !== undefined;
  return { ...base, type, isRequired, ...withoutNothing(limits), ...more };
}

type Given<T> = { [K in keyof T]?: Exclude<T[K], undefined> };

function withoutNothing<T extends object>(all: T): Given<T> {
  return Object.fromEntries(
    Object.entries(all).filter(([, value]) => value !== undefined),
  ) as Given<T>;
}

function optionsOf(element: Element, type: FieldType): string[] | undefined {
  if (type === 'select')
    return all(element, ({ tagName }) => tagName === 'option').map(
      (each) => said(each, 'value') ?? tidied(words(each)),
    );
  return type === 'radio' || type === 'checkbox' ? [said(element, 'value') ?? 'on'] : undefined;
}

/** The attributes of an element that go by states. */
function varying(element: Element): ReadonlySet<string> {
  const vary = said(element, 'data-sormet-vary');
  if (vary === undefined) return new Set();
  const tables = JSON.parse(vary) as [unknown, Record<string, Record<string, unknown>>][];
  return new Set(
    tables.flatMap(([, at]) => Object.values(at).flatMap((each) => Object.keys(each))),
  );
}
