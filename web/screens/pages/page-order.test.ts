import fc from 'fast-check';
import type { PageDoc } from '@sormet/core/model';
import { page } from '@sormet/core/test';
import { inPlace, ordersAfterStep, pageRows } from './page-order';

const at = (path: string, order?: string) => ({
  ...page(path, path, { tag: 'main' }, path.endsWith('<slug>') ? 'shed' : null),
  ...(order === undefined ? {} : { order }),
});
const shown = (...pages: ReturnType<typeof at>[]) =>
  pageRows(pages).map(({ page: { path }, depth }) => '·'.repeat(depth) + path);

describe('pages in their tree', () => {
  test('stand under the page whose path begins theirs, the home page first', () => {
    expect(shown(at('/sheds/<slug>'), at('/about'), at('/sheds'), at('/'))).toEqual([
      '/',
      '/about',
      '/sheds',
      '·/sheds/<slug>',
    ]);
  });

  test('stand at the top when no page lies between, whatever their depth', () => {
    expect(shown(at('/a/b/c'), at('/'))).toEqual(['/', '/a/b/c']);
    expect(shown(at('/a'), at('/a/b/c'))).toEqual(['/a', '·/a/b/c']);
  });

  test('are not mistaken for what only begins with the same letters', () => {
    expect(shown(at('/shed'), at('/sheds'))).toEqual(['/shed', '/sheds']);
  });

  test('stand in the order somebody gave them', () => {
    const paths = inPlace([at('/', 'zz'), at('/a', 'a2'), at('/b', 'a1')]).map(({ path }) => path);
    expect(paths).toEqual(['/', '/b', '/a']);
  });
});

describe('a step', () => {
  const paths = (pages: readonly PageDoc[]) => inPlace(pages).map(({ path }) => path);
  const stepped = (pages: readonly PageDoc[], path: string, by: -1 | 1): PageDoc[] => {
    const moved = pages.find((each) => each.path === path)!;
    const orders = new Map(ordersAfterStep(pages, moved, by));
    return pages.map((each) => {
      const order = orders.get(each.id);
      return order === undefined ? each : { ...each, order };
    });
  };

  test('goes past one neighbour, and nothing else is moved (law)', () => {
    fc.assert(
      fc.property(
        fc.uniqueArray(fc.constantFrom('/a', '/b', '/c', '/d', '/e'), { minLength: 2 }),
        fc.array(fc.tuple(fc.nat(4), fc.constantFrom<-1 | 1>(-1, 1)), { maxLength: 12 }),
        (names, steps) => {
          let pages: PageDoc[] = names.map((path) => at(path));
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

  test('goes nowhere before the home page', () => {
    const pages = [at('/'), at('/a'), at('/b')];
    expect(ordersAfterStep(pages, pages[1]!, -1)).toEqual([]);
  });

  test('is one edit where all have an order', () => {
    const pages = [at('/a', 'a1'), at('/b', 'a2'), at('/c', 'a3')];
    expect(ordersAfterStep(pages, pages[2]!, -1)).toHaveLength(1);
  });
});
