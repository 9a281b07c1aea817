import { byOrder, orderBetween, ordersFor, type PageDoc } from '@sormet/core/model';

/** A page with those below it in the tree of paths. */
export interface PageRow {
  readonly page: PageDoc;
  readonly depth: number;
  /** The page it stands under; nothing at the top. */
  readonly parent: string | undefined;
}

/**
 * Pages as a tree by path, each behind the page whose path begins its own, the home page first; beside each other in
 * the order somebody gave them, else by path.
 */
export function pageRows(pages: readonly PageDoc[]): PageRow[] {
  const byPath = new Map(pages.map((page) => [page.path, page]));
  const parentOf = ({ path }: PageDoc): PageDoc | undefined => {
    for (let at = above(path); at !== ''; at = above(at)) {
      const found = byPath.get(at);
      if (found) return found;
    }
    return undefined;
  };
  const children = new Map<string | undefined, PageDoc[]>();
  for (const page of pages) {
    const parent = parentOf(page)?.id;
    const list = children.get(parent);
    if (list) list.push(page);
    else children.set(parent, [page]);
  }
  const rows: PageRow[] = [];
  const add = (parent: string | undefined, depth: number) => {
    for (const page of inPlace(children.get(parent) ?? [])) {
      rows.push({ page, depth, parent });
      add(page.id, depth + 1);
    }
  };
  add(undefined, 0);
  return rows;
}

/** Pages that stand beside each other, in order. */
export function inPlace(pages: readonly PageDoc[]): PageDoc[] {
  const byPath = [...pages].sort((a, b) => (a.path < b.path ? -1 : 1));
  const orders = ordersFor(byPath.length);
  return byPath
    .map((page, i): [PageDoc, string] => [
      page,
      page.path === '/' ? '0' : (page.order ?? orders[i]!),
    ])
    .sort(([a, x], [b, y]) => byOrder([a.path, { order: x }], [b.path, { order: y }]))
    .map(([page]) => page);
}

/**
 * The orders by which a page goes one step past its neighbour; none where there is nothing to go past. Where those
 * beside it have none of their own yet, or not in this order, all of them get one.
 */
export function ordersAfterStep(
  beside: readonly PageDoc[],
  page: PageDoc,
  by: -1 | 1,
): readonly (readonly [page: string, order: string])[] {
  const pages = inPlace(beside);
  const at = pages.findIndex(({ id }) => id === page.id);
  const to = at + by;
  if (to < 0 || to >= pages.length || pages[to]!.path === '/') return [];
  const orders = ordersFor(pages.length);
  const isSorted = pages.every(
    ({ order }, i) => order !== undefined && (i === 0 || order > (pages[i - 1]!.order ?? '')),
  );
  if (!isSorted) {
    const moved = [...pages];
    moved.splice(at, 1);
    moved.splice(to, 0, page);
    return moved.map(({ id }, i) => [id, orders[i]!]);
  }
  const orderOf = (i: number) => pages[i]?.order ?? null;
  const order =
    by < 0
      ? orderBetween(orderOf(to - 1), orderOf(to))
      : orderBetween(orderOf(to), orderOf(to + 1));
  return [[page.id, order]];
}

function above(path: string): string {
  return path.slice(0, path.lastIndexOf('/'));
}
