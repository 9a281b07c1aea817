import { act, type ReactNode } from 'react';
import { screen } from '@testing-library/react';
import { docOf, rootOf } from '@sormet/core/model';
import { useDerived, useSync } from '../../site/SiteProvider';
import { benchActions } from '../../store/bench-slice';
import { atSite } from '../../test/at-site';
import { Outline } from './Outline';

test('a row for each thing of the page, as a tree; what is pressed is selected for all of the bench', async () => {
  const { user, store } = await atSite(<Outline doc="page-about" />);
  expect(screen.getByRole('tree', { name: 'Outline' })).toBeInTheDocument();
  const surround = screen.getByRole('treeitem', { name: /^Site surround/ });
  expect(surround).toHaveAttribute('aria-level', '1');
  expect(surround).toHaveAttribute('aria-expanded', 'true');
  await user.click(screen.getByText('Opening'));
  const { selection } = store.getState().bench;
  expect(selection?.doc).toBe('page-about');
  const [node] = selection!.nodes;
  const stored = docOf(store.getState().site.documents, 'page', 'page-about')!.nodes[node!];
  expect(stored).toMatchObject({ kind: 'instance', component: 'opening' });
});

test('what is selected elsewhere is marked here', async () => {
  const { store, documents } = await atSite(<Outline doc="page-about" />);
  const root = rootOf(docOf(documents(), 'page', 'page-about')!.nodes);
  act(() => void store.dispatch(benchActions.select({ doc: 'page-about', nodes: [root] })));
  expect(screen.getByRole('treeitem', { name: /^Site surround/ })).toHaveAttribute(
    'aria-selected',
    'true',
  );
});

function Renaming(): ReactNode {
  const sync = useSync();
  const { documents } = useDerived();
  const { nodes } = docOf(documents, 'page', 'page-about')!;
  const opening = Object.keys(nodes).find((id) => {
    const node = nodes[id]!;
    return node.kind === 'instance' && node.component === 'opening';
  })!;
  const rename = () =>
    sync.edit({ name: 'nameNode', args: { doc: 'page-about', node: opening, name: 'hello' } });
  return (
    <>
      <Outline doc="page-about" />
      <button type="button" onClick={rename}>
        rename
      </button>
    </>
  );
}

test('a name that changes changes in its row, and the rows beside stay the same elements', async () => {
  const { user } = await atSite(<Renaming />);
  const beside = screen.getByRole('treeitem', { name: /^Site surround/ });
  await user.click(screen.getByRole('button', { name: 'rename' }));
  expect(await screen.findByText('“hello”')).toBeInTheDocument();
  expect(screen.getByRole('treeitem', { name: /^Site surround/ })).toBe(beside);
});
