import { page } from '@sormet/core/test';
import { inPlace, pageRows } from './page-order';

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
