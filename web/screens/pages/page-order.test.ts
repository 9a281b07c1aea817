import fc from 'fast-check';
import type { PageDoc } from '@sormet/core/model';
import { page } from '@sormet/core/test';
import { inPlace, ordersAfterStep, pageRows } from './page-order';

const at = (path: string, order?: string): PageDoc => ({
  ...page(path.replace(/\W/g, '-').slice(1) || 'home', path, { id: 'root', tag: 'main' }),
  ...(order === undefined ? {} : { order }),
});

const paths = (pages: readonly PageDoc[]) => inPlace(pages).map(({ path }) => path);

function stepped(pages: readonly PageDoc[], path: string, by: -1 | 1): PageDoc[] {
  const moved = pages.find((each) => each.path === path)!;
  const orders = new Map(ordersAfterStep(pages, moved, by));
  return pages.map((each) => {
    const order = orders.get(each.id);
    return order === undefined ? each : { ...each, order };
  });
}

test('pages stand as a tree of their paths, the home page first', () => {
  const rows = pageRows([at('/sheds/a'), at('/about'), at('/'), at('/sheds')]);
  expect(rows.map(({ page: { path }, depth }) => [path, depth])).toEqual([
    ['/', 0],
    ['/about', 0],
    ['/sheds', 0],
    ['/sheds/a', 1],
  ]);
});

test('a step goes past one neighbour, and nothing else is moved (law)', () => {
  fc.assert(
    fc.property(
      fc.uniqueArray(fc.constantFrom('/a', '/b', '/c', '/d', '/e'), { minLength: 2 }),
      fc.array(fc.tuple(fc.nat(4), fc.constantFrom<-1 | 1>(-1, 1)), { maxLength: 12 }),
      (names, steps) => {
        let pages = names.map((path) => at(path));
        for (const [i, by] of steps) {
          const before = paths(pages);
          const from = i % before.length;
          const to = from + by;
          pages = stepped(pages, before[from]!, by);
          const wanted = [...before];
          if (to >= 0 && to < before.length)
            [wanted[from], wanted[to]] = [wanted[to]!, wanted[from]!];
          expect(paths(pages)).toEqual(wanted);
        }
      },
    ),
  );
});

test('nothing goes before the home page', () => {
  const pages = [at('/'), at('/a'), at('/b')];
  expect(ordersAfterStep(pages, pages[1]!, -1)).toEqual([]);
});

test('where all have an order, one edit is enough', () => {
  const pages = [at('/a', 'a1'), at('/b', 'a2'), at('/c', 'a3')];
  expect(ordersAfterStep(pages, pages[2]!, -1)).toHaveLength(1);
});
