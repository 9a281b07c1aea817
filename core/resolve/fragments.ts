import { isVoid, nestingFault, type Fragment, type SiteValues } from '../model';
import { sharedClassOf } from './look';
import { escapeAttribute, escapeText } from './escape';

/** What a text comes to: words alone, or fragments where it is rich. */
export type Content = string | readonly Fragment[];

/** What stands around a text as far as nesting goes: a line of words takes no blocks. */
const AROUND = { line: ['p'], blocks: ['div'] } as const;

/** The level from which headings of rich text are counted where nothing around says another: that of a page's title. */
export const TITLE_LEVEL = 1;
/** HTML has no lower heading (HTML, 4.3.6). */
const LOWEST_LEVEL = 6;

/** The tag of a heading as it stands below one of a level: in a component whose own heading is an h3, an h2 is an h4. */
function loweredTag(tag: string, level: number): string {
  const own = headingLevel(tag);
  return own === undefined ? tag : `h${Math.min(LOWEST_LEVEL, own + level - TITLE_LEVEL)}`;
}

/** The level of a heading's tag; nothing for other tags. */
export function headingLevel(tag: string): number | undefined {
  return /^h[1-6]$/.test(tag) ? Number(tag[1]) : undefined;
}

/** What is around a rich text: the level of the heading it stands below, and the site. */
export interface Around {
  readonly level: number;
  readonly site: SiteValues;
}

/**
 * Fragments as they may stand where a rich text is: an element that an HTML parser would move elsewhere, or that may
 * not stand there, leaves what it holds in its place; so does what only had a style that is gone. Headings stand below
 * that of the component.
 */
export function fitted(
  fragments: readonly Fragment[],
  rich: 'line' | 'blocks',
  around: Around,
): readonly Fragment[] {
  return fittedIn(fragments, AROUND[rich], around);
}

function fittedIn(
  fragments: readonly Fragment[],
  above: readonly string[],
  around: Around,
): readonly Fragment[] {
  const out: Fragment[] = [];
  for (const fragment of fragments) {
    if (typeof fragment === 'string') {
      if (fragment !== '') out.push(fragment);
    } else if (fragment.tag === 'span') {
      const children = fittedIn(fragment.children, ['span', ...above], around);
      const { style } = fragment;
      if (style === undefined || !around.site.isWordStyle(style)) out.push(...children);
      else
        out.push({ tag: 'span', attributes: { class: sharedClassOf(style, 0) }, children, style });
    } else if (nestingFault(fragment.tag, above) === null) {
      const { attributes, children } = fragment;
      const tag = loweredTag(fragment.tag, around.level);
      out.push({ tag, attributes, children: fittedIn(children, [tag, ...above], around) });
    } else {
      // Words that two blocks kept apart must not run together.
      if (out.length > 0) out.push(' ');
      out.push(...fittedIn(fragment.children, above, around));
    }
  }
  return out;
}

/** Content as HTML: words escaped, elements around them. */
export function writtenContent(content: Content): string {
  if (typeof content === 'string') return escapeText(content);
  let out = '';
  for (const fragment of content) {
    if (typeof fragment === 'string') {
      out += escapeText(fragment);
      continue;
    }
    out += '<' + fragment.tag;
    for (const name in fragment.attributes)
      out += ` ${name}="${escapeAttribute(fragment.attributes[name]!)}"`;
    out += '>';
    if (!isVoid(fragment.tag)) out += writtenContent(fragment.children) + `</${fragment.tag}>`;
  }
  return out;
}

/** Whether two contents show the same. */
export function sameContent(a: Content, b: Content): boolean {
  if (a === b) return true;
  if (typeof a === 'string' || typeof b === 'string') return false;
  return JSON.stringify(a) === JSON.stringify(b);
}
