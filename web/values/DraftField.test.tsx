import { screen } from '@testing-library/react';
import { atSite } from '../test/at-site';
import { DraftField } from './DraftField';

const pathField = (
  <DraftField
    label="Path of the page"
    stored="/about"
    edit={(path) => ({ name: 'setPath', args: { page: 'page-about', path } })}
  />
);

test('what is typed is given by Enter, and stands in the documents at once', async () => {
  const { user, documents } = await atSite(pathField);
  const field = screen.getByRole('textbox', { name: 'Path of the page' });
  await user.clear(field);
  await user.type(field, '/who-we-are{Enter}');
  expect(documents().ofKind('page', 'page-about')?.path).toBe('/who-we-are');
});

test('a refusal is said at the field, what was typed stays, and nothing is changed', async () => {
  const { user, documents, store } = await atSite(pathField);
  const field = screen.getByRole('textbox', { name: 'Path of the page' });
  await user.clear(field);
  await user.type(field, 'Who we are?{Enter}');
  expect(screen.getByRole('alert')).not.toBeEmptyDOMElement();
  expect(field).toHaveValue('Who we are?');
  expect(field).toHaveAttribute('aria-invalid', 'true');
  expect(documents().ofKind('page', 'page-about')?.path).toBe('/about');
  // It is said here, and not a second time in the sentence.
  expect(store.getState().site.refusal).toBeNull();
});

test('Escape drops what was typed; leaving the field gives it', async () => {
  const { user, documents } = await atSite(pathField);
  const field = screen.getByRole('textbox', { name: 'Path of the page' });
  await user.clear(field);
  await user.type(field, '/nowhere{Escape}');
  expect(field).toHaveValue('/about');
  await user.clear(field);
  await user.type(field, '/elsewhere');
  await user.tab();
  expect(documents().ofKind('page', 'page-about')?.path).toBe('/elsewhere');
});
