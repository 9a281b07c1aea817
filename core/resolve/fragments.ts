import { isVoid, nestingFault, type Fragment } from '../model';
import { escapeAttribute, escapeText } from './escape';

/** What a text comes to: words alone, or fragments where it is rich. */
export type Content = string | readonly Fragment[];

/** What stands around a text as far as nesting goes: a line of words takes no blocks. */
const AROUND = { line: ['p'], blocks: ['div'] } as const;

/**
 * Fragments as they may stand where a rich text is: an element that an HTML parser would move elsewhere, or that may
 * not stand there, leaves what it holds in its place.
 */
export function fitted(
  fragments: readonly Fragment[],
  rich: 'line' | 'blocks',
): readonly Fragment[] {
  return fittedIn(fragments, AROUND[rich]);
}

function fittedIn(fragments: readonly Fragment[], above: readonly string[]): readonly Fragment[] {
  const out: Fragment[] = [];
  for (const fragment of fragments) {
    if (typeof fragment === 'string') {
      if (fragment !== '') out.push(fragment);
    } else if (nestingFault(fragment.tag, above) === null) {
      const { tag, attributes, children } = fragment;
      out.push({ tag, attributes, children: fittedIn(children, [tag, ...above]) });
    } else {
      // Words that two blocks kept apart must not run together.
      if (out.length > 0) out.push(' ');
      out.push(...fittedIn(fragment.children, above));
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
