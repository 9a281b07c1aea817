import { parseFragment, serialize, type DefaultTreeAdapterMap } from 'parse5';

type Parent = DefaultTreeAdapterMap['parentNode'];
type Child = DefaultTreeAdapterMap['childNode'];

const OURS = 'data-sormet-';

/**
 * The body of a page with states as somebody sees it: without what tells its script what to do, without what is hidden, and
 * without the elements that words stand in for the script's sake.
 */
export function asSeen(html: string): string {
  const fragment = parseFragment(html);
  tidy(fragment);
  return serialize(fragment);
}

function tidy(parent: Parent): void {
  parent.childNodes = parent.childNodes.flatMap((child): Child[] => {
    if (!('attrs' in child)) return [child];
    const has = (name: string) => child.attrs.some((each) => each.name === name);
    const isWrapper = has(`${OURS}words`);
    const goesByStates = has(`${OURS}vary`);
    if (goesByStates && has('hidden')) return [];
    // What is pressed and is no control is given its place among those: what it is for who presses keys, not for who looks.
    const isMadeButton = (name: string) =>
      has(`${OURS}press`) && ['role', 'tabindex'].includes(name);
    child.attrs = child.attrs.filter(({ name }) => !name.startsWith(OURS) && !isMadeButton(name));
    tidy(child);
    return isWrapper ? child.childNodes : [child];
  });
}
