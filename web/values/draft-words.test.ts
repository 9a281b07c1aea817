import type { Documents } from '@sormet/core/model';
import { documentsOf, page } from '@sormet/core/test';
import { leadsToDraft } from './DraftWords';

const draft = { ...page('hidden', '/hidden', { tag: 'main' }), draft: true };
const documents: Documents = documentsOf(page('home', '/', { tag: 'main' }), draft);
const to = (id: string) => ({ type: 'link', value: { to: 'page', page: id } }) as const;

test('a link leads to a draft, or to what is published', () => {
  expect(leadsToDraft(documents, to('hidden'))).toBe(true);
  expect(leadsToDraft(documents, to('home'))).toBe(false);
  expect(leadsToDraft(documents, to('gone'))).toBe(false);
  expect(
    leadsToDraft(documents, { type: 'link', value: { to: 'address', href: 'https://a.example' } }),
  ).toBe(false);
});
