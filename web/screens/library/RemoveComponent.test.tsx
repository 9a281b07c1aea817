import type { ReactNode } from 'react';
import { screen, within } from '@testing-library/react';
import { docOf } from '@sormet/core/model';
import { useDerived } from '../../site/SiteProvider';
import { atSite } from '../../test/at-site';
import { RemoveComponent } from './RemoveComponent';

/** A component that pages place. */
const PLACED = 'mender-card';

function Remove(): ReactNode {
  const { documents } = useDerived();
  const component = docOf(documents, 'component', PLACED);
  return component ? <RemoveComponent component={component} /> : <p>removed</p>;
}

async function asked() {
  const there = await atSite(<Remove />);
  await there.user.click(screen.getByRole('button', { name: 'remove' }));
  const dialog = await screen.findByRole('dialog', { name: /^Remove / });
  return { ...there, dialog };
}

test('where a component is placed stands there, and it is not removed before something is said of that', async () => {
  const { dialog } = await asked();
  expect(within(dialog).getAllByRole('link').length).toBeGreaterThan(0);
  expect(dialog).toHaveTextContent(/It is placed \d+ times/);
  expect(within(dialog).getByRole('button', { name: 'Remove it' })).toBeDisabled();
});

test('its instances become plain elements, and it is gone; one step takes all of it back', async () => {
  const { dialog, user, documents, store } = await asked();
  await user.click(within(dialog).getByRole('radio', { name: /plain elements/ }));
  await user.click(within(dialog).getByRole('button', { name: 'Remove it' }));
  expect(documents().get(PLACED)).toBeUndefined();
  expect(
    [...documents()].some((doc) => JSON.stringify(doc).includes(`"component":"${PLACED}"`)),
  ).toBe(false);
  expect(store.getState().site.undo).toHaveLength(1);
});

test('kept, nothing is changed', async () => {
  const { dialog, user, documents } = await asked();
  await user.click(within(dialog).getByRole('button', { name: 'Keep it' }));
  expect(documents().get(PLACED)).toBeDefined();
});
