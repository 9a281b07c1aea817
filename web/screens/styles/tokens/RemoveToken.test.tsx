import { useState, type ReactNode } from 'react';
import { screen, within } from '@testing-library/react';
import { own, type Documents } from '@sormet/core/model';
import { declaredWith } from '@sormet/core/edit';
import { useDerived } from '../../../site/SiteProvider';
import { atSite } from '../../../test/at-site';
import { RemoveToken } from './RemoveToken';

/** A token that declarations use. */
function usedToken(documents: Documents): string {
  return Object.keys(documents.tokens.tokens).find(
    (id) => declaredWith(documents, new Set([id])).length > 0,
  )!;
}

function Remove(): ReactNode {
  const { documents } = useDerived();
  const [id] = useState(() => usedToken(documents));
  const token = own(documents.tokens.tokens, id);
  return token ? <RemoveToken id={id} token={token} onClose={() => undefined} /> : <p>removed</p>;
}

test('how many use a token is said first; removed, its value is written out where it stood', async () => {
  const { user, documents } = await atSite(<Remove />);
  const id = usedToken(documents());
  const dialog = await screen.findByRole('dialog', { name: /^Remove the token/ });
  expect(dialog).toHaveTextContent(/It stands in \d+ declaration/);
  await user.click(within(dialog).getByRole('button', { name: 'Remove it' }));
  expect(own(documents().tokens.tokens, id)).toBeUndefined();
  expect(declaredWith(documents(), new Set([id]))).toEqual([]);
  expect(screen.getByText('removed')).toBeInTheDocument();
});
