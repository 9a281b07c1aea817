import { say, type Said } from '../said';
import { own } from './own';

/** What of HTML (Living Standard) a tree may hold: the elements, and which nesting an HTML parser keeps as it is. */
const CONTAINERS = [
  'div',
  'section',
  'article',
  'aside',
  'header',
  'footer',
  'main',
  'nav',
  'ul',
  'ol',
  'li',
  'dl',
  'dt',
  'dd',
  'figure',
  'figcaption',
  'blockquote',
  'address',
  'p',
  'h1',
  'h2',
  'h3',
  'h4',
  'h5',
  'h6',
  'a',
  'span',
  'strong',
  'em',
  'small',
  'time',
  'b',
  'i',
  'code',
  'cite',
  'mark',
  'details',
  'summary',
  'form',
  'fieldset',
  'legend',
  'label',
  'button',
  'textarea',
  'select',
  'option',
  'table',
  'caption',
  'thead',
  'tbody',
  'tfoot',
  'tr',
  'th',
  'td',
  'sub',
  'sup',
  'video',
  'dialog',
  'progress',
  'meter',
  'output',
];
const VOID = new Set(['img', 'hr', 'br', 'input']);

/** Every element a tree may hold. */
export const TAGS: ReadonlySet<string> = new Set([...CONTAINERS, ...VOID]);

/** Elements that hold nothing (HTML 13.1.2, void elements). */
export function isVoid(tag: string): boolean {
  return VOID.has(tag);
}

const HEADINGS = new Set(['h1', 'h2', 'h3', 'h4', 'h5', 'h6']);
/** Start tags that close an open p (HTML 13.2.6.4.7). */
const CLOSES_P = new Set([
  'address',
  'article',
  'aside',
  'blockquote',
  'div',
  'dl',
  'figcaption',
  'figure',
  'footer',
  'header',
  'hr',
  'main',
  'nav',
  'ol',
  'p',
  'section',
  'ul',
  'h1',
  'h2',
  'h3',
  'h4',
  'h5',
  'h6',
  'li',
  'dt',
  'dd',
  'details',
  'dialog',
  'summary',
  'fieldset',
  'form',
  'table',
]);
const PHRASING = new Set([
  'a',
  'span',
  'strong',
  'em',
  'small',
  'time',
  'b',
  'i',
  'code',
  'img',
  'video',
  'br',
  'cite',
  'mark',
  'label',
  'button',
  'input',
  'textarea',
  'select',
  'sub',
  'sup',
  'progress',
  'meter',
  'output',
]);
/** Elements that take phrasing content only (their content model, not just the parser). */
const PHRASING_ONLY = new Set([
  'p',
  'h1',
  'h2',
  'h3',
  'h4',
  'h5',
  'h6',
  'span',
  'strong',
  'em',
  'small',
  'time',
  'b',
  'i',
  'code',
  'cite',
  'mark',
  'label',
  'button',
  'sub',
  'sup',
  'progress',
  'meter',
  'output',
]);
/** What a table and its parts hold, and nothing else (HTML 4.9, content models; 13.2.6.4.9 to 13.2.6.4.15). */
const HOLDS_ONLY: Readonly<Record<string, readonly string[]>> = {
  table: ['caption', 'thead', 'tbody', 'tfoot'],
  thead: ['tr'],
  tbody: ['tr'],
  tfoot: ['tr'],
  tr: ['th', 'td'],
  select: ['option'],
  option: [],
};
/** The elements that stand in one of those and nowhere else, each with where. */
const STANDS_ONLY: Readonly<Record<string, readonly string[]>> = Object.fromEntries(
  [...new Set(Object.values(HOLDS_ONLY).flat())].map((tag) => [
    tag,
    Object.keys(HOLDS_ONLY).filter((holder) => HOLDS_ONLY[holder]!.includes(tag)),
  ]),
);
/** What somebody works with, and that holds no other of them: a link and a button (HTML 4.5.1 and 4.10.6, content model). */
const INTERACTIVE = new Set(['a', 'button', 'input', 'textarea', 'select', 'label', 'details']);

/**
 * Why an element may not stand where it would; `null` when it may.
 * @param above the tags around it, nearest first
 */
export function nestingFault(tag: string, above: readonly string[]): Said | null {
  const fault = parentFault(tag, above[0], above[1]);
  if (fault !== null) return fault;
  for (const around of FORBIDDEN_AROUND.get(tag) ?? NONE_AROUND)
    if (above.includes(around)) return aroundFault(tag, around);
  return null;
}

/**
 * Why an element may not stand straight in another; `null` when it may, or stands in none.
 * @param around what that one stands in; nothing where it is not known, or is none
 */
export function parentFault(
  tag: string,
  parent: string | undefined,
  around: string | undefined,
): Said | null {
  if (parent === undefined) return null;
  if (isVoid(parent) || parent === 'textarea' || parent === 'video')
    return say('holds-nothing', { parent });
  if ((parent === 'summary' || parent === 'legend') && !PHRASING.has(tag) && !HEADINGS.has(tag))
    return say('holds-text-and-headings', { parent, tag });
  if (PHRASING_ONLY.has(parent) && !PHRASING.has(tag)) return say('holds-text', { parent, tag });
  if ((parent === 'ul' || parent === 'ol') && tag !== 'li') return say('holds-li', { parent, tag });
  const holds = own(HOLDS_ONLY, parent);
  if (holds && !holds.includes(tag)) return say('holds-only', { parent, holds, tag });
  if (parent === 'dl' && tag !== 'dt' && tag !== 'dd' && tag !== 'div')
    return say('dl-holds', { tag });
  const stands = own(STANDS_ONLY, tag);
  if (stands && !stands.includes(parent)) return say('stands-only-in', { tag, parents: stands });
  if (tag === 'li' && parent !== 'ul' && parent !== 'ol') return say('li-in-list');
  if (asksAround(tag, parent)) {
    if (around !== undefined && around !== 'dl') return say('in-dl', { tag });
  } else if ((tag === 'dt' || tag === 'dd') && parent !== 'dl') return say('in-dl', { tag });
  if (tag === 'summary' && parent !== 'details') return say('summary-in-details');
  if (tag === 'legend' && parent !== 'fieldset') return say('legend-in-fieldset');
  if (HEADINGS.has(tag) && HEADINGS.has(parent)) return say('heading-in-heading');
  return null;
}

/** Whether it depends on what its parent stands in: a dd or dt closes one that is open, also across a div (HTML 13.2.6.4.7). */
export function asksAround(tag: string, parent: string): boolean {
  return (tag === 'dt' || tag === 'dd') && parent === 'div';
}

const NONE_AROUND: readonly string[] = Object.freeze([]);

/** By tag, those that it may not stand in, however far out; in the order in which they are told. */
export const FORBIDDEN_AROUND: ReadonlyMap<string, readonly string[]> = new Map(
  [...CONTAINERS, ...VOID].flatMap((tag): [string, readonly string[]][] => {
    const around = [
      ...(tag === 'table' ? ['caption'] : []),
      ...(INTERACTIVE.has(tag) ? ['a', 'button', 'summary'] : []),
      ...(tag === 'label' ? ['label'] : []),
      // HTML 4.10.13 and 4.10.14, content models: neither holds another of itself.
      ...(tag === 'progress' || tag === 'meter' ? [tag] : []),
      ...(tag === 'form' ? ['form'] : []),
      ...(CLOSES_P.has(tag) ? ['p'] : []),
      ...(tag === 'main' ? ['article', 'aside', 'footer', 'header', 'nav', 'main'] : []),
    ];
    return around.length === 0 ? [] : [[tag, around]];
  }),
);

/** Why an element may not stand in one of those. */
export function aroundFault(tag: string, around: string): Said {
  if (around === 'caption') return say('caption-holds-no-table');
  if (tag === 'a' && around === 'a') return say('link-in-link');
  if (around === 'label') return say('label-in-label');
  if (around === 'form') return say('form-in-form');
  if (around === 'p') return say('in-p', { tag });
  if (tag === 'main') return say('main-in-landmark');
  return say('cannot-stand-in', { tag, around });
}

const WITHOUT_TEXT = new Set(
  'ul ol dl details fieldset textarea video table thead tbody tfoot tr select'.split(' '),
);

/** Tags that people put in each other's place without meaning another kind of thing: levels of headings, parts of a page, lists. */
const FAMILIES: readonly (readonly string[])[] = [
  ['h1', 'h2', 'h3', 'h4', 'h5', 'h6', 'p'],
  ['div', 'section', 'article', 'aside', 'header', 'footer', 'nav'],
  ['ul', 'ol'],
  ['span', 'strong', 'em', 'small', 'b', 'i'],
];

/** The tags of which one may be chosen for an element, its own among them; nothing where there is no other. */
export function tagFamily(tag: string): readonly string[] {
  return FAMILIES.find((family) => family.includes(tag)) ?? [];
}

/** Whether text may stand in an element. */
export function takesText(tag: string): boolean {
  return !isVoid(tag) && !WITHOUT_TEXT.has(tag);
}
