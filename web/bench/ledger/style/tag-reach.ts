import { allOf, EVERY_TAG, type Documents, type Tree } from '@sormet/core/model';
import type { Reach } from '@sormet/core/reach';

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

/** How many elements of a tag stand on the site's pages, those of definitions as often as they are placed. */
export function tagReach(documents: Documents, reach: Reach, tag: string): number {
  const trees = [...allOf(documents, 'page'), ...allOf(documents, 'component')];
  return trees.reduce((sum, { id, nodes }) => {
    const many = tagsIn(nodes).get(tag) ?? 0;
    return many === 0 ? sum : sum + many * reach.standing(id);
  }, 0);
}

/** On how many pages an element of a tag stands, by itself or within a component. */
export function pagesWithTag(documents: Documents, reach: Reach, tag: string): number {
  const pages = new Set<string>();
  for (const { id, nodes } of allOf(documents, 'page')) if (tagsIn(nodes).has(tag)) pages.add(id);
  for (const { id, nodes } of allOf(documents, 'component'))
    if (tagsIn(nodes).has(tag)) for (const page of reach.answer(id).pages) pages.add(page);
  return pages.size;
}
