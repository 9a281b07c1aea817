/**
 * The attributes an element may have, with the type of value each takes and which literal texts they take: those that
 * HTML (Living Standard) gives every element and each element of its own, `data-*`, and the states and properties of
 * WAI-ARIA 1.2 (section 6.6). None of them can run anything: handlers of events are not among them.
 */
import { say, type Said } from '../said';
import { own } from './own';
import { BOOLEAN, DATE, IMAGE, LINK, NUMBER, TEXT, VIDEO, type TypeSpec } from './types';

/** Attributes that every element takes (HTML 3.2.6), as far as they make sense in a page that is written. */
const GLOBAL: Readonly<Record<string, TypeSpec>> = {
  id: TEXT,
  lang: TEXT,
  dir: TEXT,
  title: TEXT,
  role: TEXT,
  tabindex: NUMBER,
  popover: TEXT,
};

/** Attributes by element. A picture also gets its size, a link its address, when they are written. */
const OWN: Readonly<Record<string, Readonly<Record<string, TypeSpec>>>> = {
  a: { href: LINK, target: TEXT, rel: TEXT, hreflang: TEXT, download: TEXT },
  img: { src: IMAGE, alt: TEXT, loading: TEXT, decoding: TEXT },
  video: {
    src: VIDEO,
    controls: BOOLEAN,
    autoplay: BOOLEAN,
    muted: BOOLEAN,
    loop: BOOLEAN,
    playsinline: BOOLEAN,
    preload: TEXT,
  },
  time: { datetime: DATE },
  ol: { start: NUMBER, type: TEXT },
  li: { value: NUMBER },
  blockquote: { cite: LINK },
  details: { open: BOOLEAN, name: TEXT },
  dialog: { open: BOOLEAN },
  progress: { value: NUMBER, max: NUMBER },
  meter: { value: NUMBER, min: NUMBER, max: NUMBER, low: NUMBER, high: NUMBER, optimum: NUMBER },
  form: {
    sends: BOOLEAN,
    afterwards: TEXT,
    'leads-to': LINK,
    action: LINK,
    method: TEXT,
    autocomplete: TEXT,
    novalidate: BOOLEAN,
  },
  fieldset: { disabled: BOOLEAN, name: TEXT },
  label: { for: TEXT },
  button: {
    type: TEXT,
    disabled: BOOLEAN,
    name: TEXT,
    value: TEXT,
    command: TEXT,
    commandfor: TEXT,
    popovertarget: TEXT,
    popovertargetaction: TEXT,
  },
  input: {
    type: TEXT,
    name: TEXT,
    value: TEXT,
    placeholder: TEXT,
    required: BOOLEAN,
    disabled: BOOLEAN,
    checked: BOOLEAN,
    autocomplete: TEXT,
    inputmode: TEXT,
    readonly: BOOLEAN,
    min: TEXT,
    max: TEXT,
    step: TEXT,
    minlength: NUMBER,
    maxlength: NUMBER,
    pattern: TEXT,
    wrong: TEXT,
    trap: BOOLEAN,
  },
  select: {
    name: TEXT,
    required: BOOLEAN,
    disabled: BOOLEAN,
    multiple: BOOLEAN,
    autocomplete: TEXT,
    wrong: TEXT,
  },
  option: { value: TEXT, selected: BOOLEAN, disabled: BOOLEAN },
  th: { scope: TEXT, colspan: NUMBER, rowspan: NUMBER, abbr: TEXT, headers: TEXT },
  td: { colspan: NUMBER, rowspan: NUMBER, headers: TEXT },
  textarea: {
    name: TEXT,
    placeholder: TEXT,
    rows: NUMBER,
    required: BOOLEAN,
    disabled: BOOLEAN,
    readonly: BOOLEAN,
    minlength: NUMBER,
    maxlength: NUMBER,
    autocomplete: TEXT,
    wrong: TEXT,
  },
};

/**
 * Attributes that HTML does not have: that a form is sent to the site's own inbox, what is said and where one is led afterwards,
 * the words for what is wrong with a field, and that a field is a trap for robots, which fill in what nobody sees. They are
 * written under these names.
 */
const OURS: Readonly<Record<string, string>> = {
  sends: 'data-sormet-form',
  afterwards: 'data-sormet-afterwards',
  'leads-to': 'data-sormet-leads-to',
  wrong: 'data-sormet-wrong',
  trap: 'data-sormet-trap',
};

/** The name under which an attribute is written in HTML. */
export function writtenName(name: string): string {
  return own(OURS, name) ?? name;
}

/**
 * The attributes that hold the id of an element, or its ids (HTML Living Standard, 3.2.6.1; WAI-ARIA 1.2, 6.3: ID reference);
 * and those that hold a name which nothing else on the page has: of `details` that are open one at a time.
 */
const REFERRING: ReadonlySet<string> = new Set([
  'id',
  'for',
  'aria-labelledby',
  'aria-describedby',
  'aria-controls',
  'aria-details',
  'aria-owns',
  'aria-errormessage',
  'aria-activedescendant',
  'commandfor',
  'popovertarget',
]);

/** Whether an attribute of an element may name elements of its document, in place of ids that somebody thinks of. */
export function mayRefer(tag: string, name: string): boolean {
  return REFERRING.has(name) || (tag === 'details' && name === 'name');
}

/** How an element is named in an attribute that refers: `#` and its node. What stands there is written as an id that nothing else on the page has. */
export function referring(node: string): string {
  return `#${node}`;
}

/** The nodes that the words of an attribute name; nothing for words that are ids themselves. */
export function referredIn(words: string): string[] | undefined {
  const all = words.split(' ');
  return all.every((each) => each.startsWith('#') && each.length > 1)
    ? all.map((each) => each.slice(1))
    : undefined;
}

/** Those of an element's own that people set all the time; the others are added by name. */
const USUAL: Readonly<Record<string, readonly string[]>> = {
  a: ['href'],
  img: ['src', 'alt'],
  video: ['src', 'controls'],
  time: ['datetime'],
  ol: ['start'],
  details: ['open', 'name'],
  progress: ['value', 'max'],
  form: ['sends', 'afterwards', 'leads-to'],
  label: ['for'],
  button: ['type'],
  input: ['type', 'name', 'required', 'wrong'],
  textarea: ['name', 'required', 'wrong'],
  select: ['name', 'required', 'wrong'],
  option: ['value'],
  th: ['scope'],
};

const YES_NO = ['true', 'false'];

/** WAI-ARIA 1.2, 6.6: each with the words it takes; `null` for any text, for ids and for numbers. */
const ARIA: Readonly<Record<string, readonly string[] | 'number' | null>> = {
  'aria-activedescendant': null,
  'aria-atomic': YES_NO,
  'aria-autocomplete': ['inline', 'list', 'both', 'none'],
  'aria-busy': YES_NO,
  'aria-checked': ['true', 'false', 'mixed', 'undefined'],
  'aria-colcount': 'number',
  'aria-colindex': 'number',
  'aria-colspan': 'number',
  'aria-controls': null,
  'aria-current': ['page', 'step', 'location', 'date', 'time', ...YES_NO],
  'aria-describedby': null,
  'aria-details': null,
  'aria-disabled': YES_NO,
  'aria-errormessage': null,
  'aria-expanded': [...YES_NO, 'undefined'],
  'aria-flowto': null,
  'aria-haspopup': [...YES_NO, 'menu', 'listbox', 'tree', 'grid', 'dialog'],
  'aria-hidden': [...YES_NO, 'undefined'],
  'aria-invalid': ['grammar', 'spelling', ...YES_NO],
  'aria-keyshortcuts': null,
  'aria-label': null,
  'aria-labelledby': null,
  'aria-level': 'number',
  'aria-live': ['assertive', 'off', 'polite'],
  'aria-modal': YES_NO,
  'aria-multiline': YES_NO,
  'aria-multiselectable': YES_NO,
  'aria-orientation': ['horizontal', 'vertical', 'undefined'],
  'aria-owns': null,
  'aria-placeholder': null,
  'aria-posinset': 'number',
  'aria-pressed': ['true', 'false', 'mixed', 'undefined'],
  'aria-readonly': YES_NO,
  'aria-required': YES_NO,
  'aria-roledescription': null,
  'aria-rowcount': 'number',
  'aria-rowindex': 'number',
  'aria-rowspan': 'number',
  'aria-selected': [...YES_NO, 'undefined'],
  'aria-setsize': 'number',
  'aria-sort': ['ascending', 'descending', 'none', 'other'],
  'aria-valuemax': 'number',
  'aria-valuemin': 'number',
  'aria-valuenow': 'number',
  'aria-valuetext': null,
};

/** Words that other attributes take alone (HTML, at the attribute). */
const WORDS: Readonly<Record<string, readonly string[]>> = {
  dir: ['ltr', 'rtl', 'auto'],
  popover: ['auto', 'hint', 'manual'],
  target: ['_self', '_blank', '_parent', '_top'],
  loading: ['lazy', 'eager'],
  decoding: ['sync', 'async', 'auto'],
  preload: ['none', 'metadata', 'auto'],
  inputmode: ['none', 'text', 'decimal', 'numeric', 'tel', 'search', 'email', 'url'],
};

/** The same where it depends on the element. */
const OWN_WORDS: Readonly<Record<string, Readonly<Record<string, readonly string[]>>>> = {
  ol: { type: ['1', 'a', 'A', 'i', 'I'] },
  th: { scope: ['col', 'row', 'colgroup', 'rowgroup'] },
  button: {
    type: ['button', 'submit', 'reset'],
    command: [
      'show-modal',
      'close',
      'request-close',
      'show-popover',
      'hide-popover',
      'toggle-popover',
    ],
    popovertargetaction: ['show', 'hide', 'toggle'],
  },
  form: { method: ['get', 'post'], autocomplete: ['on', 'off'] },
  input: {
    type: [
      'text',
      'email',
      'tel',
      'url',
      'number',
      'date',
      'time',
      'search',
      'password',
      'checkbox',
      'radio',
      'range',
      'hidden',
    ],
  },
};

/** What is said of a text that an attribute does not take. */
type AttributeCode =
  | 'attribute-no-spaces'
  | 'attribute-language'
  | 'attribute-words'
  | 'attribute-role';

/** How a text that an attribute takes is made: BCP 47 for languages, HTML 3.2.6.1 for ids. */
const PATTERNS: Readonly<Record<string, readonly [RegExp, AttributeCode]>> = {
  id: [/^\S+$/, 'attribute-no-spaces'],
  lang: [/^$|^[a-z]{2,3}(-[A-Za-z0-9]{2,8})*$/i, 'attribute-language'],
  hreflang: [/^[a-z]{2,3}(-[A-Za-z0-9]{2,8})*$/i, 'attribute-language'],
  rel: [/^[a-z][a-z-]*( [a-z][a-z-]*)*$/, 'attribute-words'],
  role: [/^[a-z]+( [a-z]+)*$/, 'attribute-role'],
};

/** Names after `data-` that the canvas keeps for itself. */
const OF_THE_CANVAS = /^data-sormet(-|$)/;

/** The type of value an attribute of an element takes; nothing where the element takes none of this name. */
export function attributeType(tag: string, name: string): TypeSpec | undefined {
  const aria = own(ARIA, name);
  if (aria !== undefined) return aria === 'number' ? NUMBER : TEXT;
  if (/^data-[a-z][a-z-]*$/.test(name) && !OF_THE_CANVAS.test(name)) return TEXT;
  return own(own(OWN, tag) ?? {}, name) ?? own(GLOBAL, name);
}

/** A text as an attribute of WAI-ARIA writes it: what says yes or no is `true` or `false` there (1.2, 6.2.4). */
export function ariaText(name: string, text: string): string {
  const aria = own(ARIA, name);
  if (!Array.isArray(aria) || !aria.includes('true')) return text;
  return text === 'yes' ? 'true' : text === 'no' ? 'false' : text;
}

/** The attributes of an element that people set all the time, in the order in which they think of them. */
export function usualAttributesOf(tag: string): readonly string[] {
  return own(USUAL, tag) ?? [];
}

/** Every attribute of an element that has a name of its own: its own first, then those of every element. */
export function attributesOf(tag: string): readonly string[] {
  return [...Object.keys(own(OWN, tag) ?? {}), ...Object.keys(GLOBAL), ...Object.keys(ARIA)];
}

function wordsOf(tag: string, name: string): readonly string[] | undefined {
  return own(own(OWN_WORDS, tag) ?? {}, name) ?? own(WORDS, name);
}

/** Why an attribute does not take a text; `null` when it does. */
export function attributeFault(tag: string, name: string, text: string): Said | null {
  const aria = own(ARIA, name);
  const words = wordsOf(tag, name) ?? (aria === 'number' ? undefined : aria);
  if (words && !words.includes(text)) return say('attribute-one-of', { name, words });
  const pattern = own(PATTERNS, name);
  return pattern && !pattern[0].test(text) ? say(pattern[1], { name }) : null;
}

/** The words an attribute takes alone, to choose from; nothing where it takes any. */
export function attributeWords(tag: string, name: string): readonly string[] | undefined {
  const aria = own(ARIA, name);
  return wordsOf(tag, name) ?? (aria === 'number' || aria === null ? undefined : aria);
}
