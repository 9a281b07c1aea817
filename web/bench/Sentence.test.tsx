import { screen } from '@testing-library/react';
import { act } from 'react';
import { docOf } from '@sormet/core/model';
import { benchActions } from '../store/bench-slice';
import { useSync, useDerived } from '../site/SiteProvider';
import { atSite } from '../test/at-site';
import { Sentence } from './Sentence';

function OnAbout() {
  const { documents } = useDerived();
  const sync = useSync();
  return (
    <>
      <Sentence doc={docOf(documents, 'page', 'page-about')!} selected={undefined} />
      <button
        type="button"
        onClick={() =>
          sync.edit({ name: 'setPath', args: { page: 'page-about', path: 'nowhere at all' } })
        }
      >
        wrong
      </button>
    </>
  );
}

test('says what stands below while nothing is selected, and what was not done until that is understood', async () => {
  const { user } = await atSite(<OnAbout />);
  expect(screen.getByText(/Nothing is selected/)).toBeInTheDocument();
  await user.click(screen.getByRole('button', { name: 'wrong' }));
  expect(screen.getByRole('alert')).toHaveTextContent(/^Not done: /);
  await user.click(screen.getByRole('button', { name: 'understood' }));
  expect(screen.queryByRole('alert')).toBeNull();
});

test('a notice stands there until it is understood', async () => {
  const { user, store } = await atSite(<OnAbout />);
  act(() => void store.dispatch(benchActions.notice('It is the first already.')));
  expect(screen.getByRole('status')).toHaveTextContent('It is the first already.');
  await user.click(screen.getByRole('button', { name: 'understood' }));
  expect(screen.queryByRole('status')).toBeNull();
});
