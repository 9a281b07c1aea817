import type { ReactNode } from 'react';
import { screen, within } from '@testing-library/react';
import { docOf, inOrder, type Documents } from '@sormet/core/model';
import { useDerived } from '../site/SiteProvider';
import { atSite } from '../test/at-site';
import { PropertiesTable } from './PropertiesTable';

const COMPONENT = 'mender-card';
const definition = (documents: Documents) => docOf(documents, 'component', COMPONENT)!;
const labels = (documents: Documents) =>
  inOrder(definition(documents).properties).map(([, { label }]) => label);

function Properties(): ReactNode {
  return <PropertiesTable component={definition(useDerived().documents)} />;
}

test('every property has a row; it is required, keyed, and moved past its neighbour', async () => {
  const { user, documents } = await atSite(<Properties />);
  const [first, second] = labels(documents());
  const of = (label: string) => (name: string) => `${label}${name}`;
  await user.click(screen.getByRole('checkbox', { name: of(first!)(' is required') }));
  expect(inOrder(definition(documents()).properties)[0]![1].required).toBe(true);
  await user.click(screen.getByRole('button', { name: of(first!)(': further down') }));
  expect(labels(documents()).slice(0, 2)).toEqual([second, first]);
});

test('a key that another has is refused where it was typed, and nothing is lost of it', async () => {
  const { user, documents } = await atSite(<Properties />);
  const [one, other] = inOrder(definition(documents()).properties).map(([, made]) => made);
  const field = screen.getByRole('textbox', { name: `Key of ${other!.label}` });
  await user.clear(field);
  await user.type(field, `${one!.key}{Enter}`);
  expect(await screen.findByRole('alert')).toHaveTextContent(`has the key ${one!.key} already`);
  expect(field).toHaveValue(one!.key);
});

test('one that instances set is taken back only after what they set was seen', async () => {
  const { user, documents } = await atSite(<Properties />);
  const [first] = labels(documents());
  await user.click(screen.getByRole('button', { name: `Take back ${first}` }));
  const dialog = await screen.findByRole('dialog', { name: `Take back “${first}”` });
  expect(within(dialog).getAllByRole('link').length).toBeGreaterThan(0);
  await user.click(within(dialog).getByRole('button', { name: 'Leave it' }));
  expect(labels(documents())).toContain(first);
  await user.click(screen.getByRole('button', { name: `Take back ${first}` }));
  await user.click(
    within(await screen.findByRole('dialog', { name: /^Take back/ })).getByRole('button', {
      name: 'Take back',
    }),
  );
  expect(labels(documents())).not.toContain(first);
});
