import { allOf, EVERY_TAG, type Documents, type Tree } from '../model';
import type { Reach } from './reach';

/** What every page has of itself, outside any tree. */
const OF_EVERY_PAGE: ReadonlySet<string> = new Set(['html', 'body']);

/** By tree, how many elements of each tag it holds: counted once for each state of a tree. */
const counted = new WeakMap<Tree, ReadonlyMap<string, number>>();

function tagsIn(tree: Tree): ReadonlyMap<string, number> {
  let tags = counted.get(tree);
  if (tags) return tags;
  const made = new Map<string, number>();
  for (const id in tree) {
    const node = tree[id]!;
    if (node.kind !== 'element') continue;
    for (const tag of [node.tag, EVERY_TAG]) made.set(tag, (made.get(tag) ?? 0) + 1);
  }
  tags = made;
  counted.set(tree, tags);
  return tags;
}

/**
 * How many elements of a tag stand on the site's pages, those of definitions as often as they are placed, what repeats
 * once. The page itself (`html`, `body`) stands once on each, and is not counted among every element.
 * @param tag a tag, `html` and `body` too, or `EVERY_TAG`
 */
export function reachOfTag(
  documents: Documents,
  reach: Reach,
  tag: string,
): { readonly elements: number; readonly pages: number } {
  const pages = allOf(documents, 'page');
  if (OF_EVERY_PAGE.has(tag)) return { elements: pages.length, pages: pages.length };
  const on = new Set<string>();
  let elements = 0;
  for (const { id, nodes } of [...pages, ...allOf(documents, 'component')]) {
    const many = tagsIn(nodes).get(tag);
    if (many === undefined) continue;
    elements += many * reach.standing(id);
    for (const page of reach.answer(id).pages) on.add(page);
  }
  return { elements, pages: on.size };
}
