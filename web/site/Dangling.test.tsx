import { act, screen, within } from '@testing-library/react';
import { danglingIn } from '@sormet/core/edit';
import { siteActions } from '../store/site-slice';
import { atSite } from '../test/at-site';
import { Dangling } from './Dangling';

test('what leads nowhere is told with its reason, and mended by one press each', async () => {
  const { user, store, documents } = await atSite(<Dangling />);
  expect(screen.queryByRole('button')).toBeNull();
  // A component that pages place is gone, as an earlier version could leave it.
  const { summary, revision } = store.getState().site;
  const broken = documents().without('mender-card');
  const opened = {
    summary,
    revision,
    documents: broken,
    conflicts: [],
    setAside: [],
    kept: true,
    undo: [],
    redo: [],
  };
  act(() => void store.dispatch(siteActions.opened(opened)));
  await user.click(await screen.findByRole('button', { name: /nowhere/ }));
  const dialog = await screen.findByRole('dialog', { name: 'What leads nowhere' });
  expect(dialog).toHaveTextContent('the component that is placed here is gone');
  for (let left = danglingIn(documents()).length; left > 0; left = danglingIn(documents()).length)
    await user.click(within(dialog).getAllByRole('button', { name: 'Mend' })[0]!);
  expect(await within(dialog).findByText('Everything is mended.')).toBeInTheDocument();
});
