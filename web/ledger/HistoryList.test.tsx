import type { ReactNode } from 'react';
import { screen } from '@testing-library/react';
import { docOf } from '@sormet/core/model';
import { say } from '@sormet/core/said';
import { api } from '../site/api';
import { useDerived } from '../site/SiteProvider';
import { atSite } from '../test/at-site';
import { HistoryList } from './HistoryList';

function History(): ReactNode {
  return <HistoryList doc={docOf(useDerived().documents, 'page', 'page-about')!} />;
}

test('what was done is told in words, one line for a stretch, also what a later version has stored', async () => {
  const line = (first: number, last: number, said: unknown) => ({
    first,
    last,
    who: 'a window',
    at: '2026-11-29T10:00:00.000Z',
    said: said as never,
  });
  jest.spyOn(api, 'historyLines').mockResolvedValue({
    lines: [
      line(7, 7, { code: 'of-tomorrow' }),
      line(4, 6, say('did-take-back', { what: say('removed-thing', { what: 'Mender' }) })),
      line(3, 3, say('as-it-was-told', { words: 'did something long ago' })),
    ],
    more: false,
  });
  await atSite(<History />);
  expect(await screen.findByText('took back: removed Mender')).toBeInTheDocument();
  expect(screen.getByText('4–6')).toBeInTheDocument();
  expect(screen.getByText('did something long ago')).toBeInTheDocument();
  expect(screen.getByText(/has no words for/)).toBeInTheDocument();
});
