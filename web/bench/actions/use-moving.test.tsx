import { act, type ReactNode } from 'react';
import { screen } from '@testing-library/react';
import { childrenOf, docOf, rootOf } from '@sormet/core/model';
import { useSelected } from '../../ledger/use-selected';
import { benchActions } from '../../store/bench-slice';
import { atSite } from '../../test/at-site';
import { useMoving } from './use-moving';

function Moving(): ReactNode {
  const actions = useMoving(useSelected('page-about', undefined));
  return actions.map(({ label, run }) => (
    <button key={label} type="button" onClick={run}>
      {label}
    </button>
  ));
}

test('however far something goes is one line of the history, and each key a step to undo', async () => {
  const { user, store, documents } = await atSite(<Moving />);
  const { nodes } = docOf(documents(), 'page', 'page-about')!;
  const [first] = childrenOf(nodes).of(rootOf(nodes), 'main');
  act(() => void store.dispatch(benchActions.select({ doc: 'page-about', nodes: [first!] })));
  const stretches = new Set<string | null>();
  const unsubscribe = store.subscribe(() => {
    for (const { stretch } of store.getState().site.pending) stretches.add(stretch);
  });
  await user.click(screen.getByRole('button', { name: 'move behind its neighbour' }));
  await new Promise((done) => setTimeout(done, 5));
  await user.click(screen.getByRole('button', { name: 'move before its neighbour' }));
  unsubscribe();
  expect(store.getState().site.undo).toHaveLength(2);
  expect(stretches.size).toBe(1);
});
