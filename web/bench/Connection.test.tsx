import { act, screen, within } from '@testing-library/react';
import { say } from '@sormet/core/said';
import type { NamedEdit } from '@sormet/core/edit';
import { siteActions } from '../store/site-slice';
import { unstoredOf } from '../store/pending';
import { atSite } from '../test/at-site';
import { Connection } from './Connection';

const edit: NamedEdit = { name: 'setPage', args: { page: 'page-about', set: { name: 'Who' } } };

async function refused() {
  const there = await atSite(<Connection />);
  const { store, documents } = there;
  const conflict = unstoredOf(documents(), edit, 'Name 1', say('too-long', { most: 120 }));
  act(() => {
    store.dispatch(siteActions.unstored(conflict));
    store.dispatch(siteActions.deciding(true));
  });
  return { ...there, dialog: await screen.findByRole('dialog') };
}

test('what was not taken in is told with what it was and why', async () => {
  const { dialog } = await refused();
  expect(dialog).toHaveTextContent('set the name of /about');
  expect(dialog).toHaveTextContent('Is longer than 120 letters, the most there may be.');
});

test('let go, nothing waits any more', async () => {
  const { dialog, user, store } = await refused();
  await user.click(within(dialog).getByRole('button', { name: 'Drop it' }));
  expect(store.getState().site.conflicts).toEqual([]);
});

test('both sides are told in words: rich text, a line, a font, and whatever else there is', async () => {
  const { store, dialog } = await refused();
  const [conflict] = store.getState().site.conflicts;
  for (const [stands, words] of [
    [
      { type: 'rich', value: [{ tag: 'strong', children: ['Bread'] }, ' and salt'] },
      'Bread and salt',
    ],
    [{ axis: 'x', at: 320, width: 'base' }, '320px from the left'],
    [{ family: 'Literata', weight: '200 900', style: 'normal' }, 'Literata, weight 200 900'],
    [{ query: { from: 'x' } }, 'another version of it'],
  ] as const) {
    act(() => {
      store.dispatch(siteActions.unstored({ ...conflict!, failed: false, stands }));
    });
    expect(dialog).toHaveTextContent(words);
    expect(dialog).not.toHaveTextContent('{"');
  }
});
