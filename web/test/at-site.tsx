import type { ReactNode } from 'react';
import { render, screen } from '@testing-library/react';
import userEvent, { type UserEvent } from '@testing-library/user-event';
import { Provider } from 'react-redux';
import { MemoryRouter, Route, Routes } from 'react-router';
import { brackenfold } from '@sormet/demo';
import type { NamedEdit } from '@sormet/core/edit';
import type { Documents } from '@sormet/core/model';
import { SiteProvider } from '../site/SiteProvider';
import { makeStore, type AppStore } from '../store/store';

/** A part of the interface on an open site, and who sits at it. */
export interface AtSite {
  readonly store: AppStore;
  readonly user: UserEvent;
  /** The documents as they are shown. */
  readonly documents: () => Documents;
  /** The edits that were sent, in order. */
  readonly sent: readonly NamedEdit[];
}

/**
 * Draws something on the demo as a window has it open; the server is pretended and takes in everything that is sent.
 * @param path where the window is, below the site; `ui` stands there
 */
export async function atSite(
  ui: ReactNode,
  { path = 'here', route = path }: { path?: string; route?: string } = {},
): Promise<AtSite> {
  const { documents } = brackenfold();
  const sent: NamedEdit[] = [];
  let revision = 1;
  const answers = (address: string, init?: RequestInit): unknown => {
    if (address.endsWith('/edits')) {
      sent.push(JSON.parse(init?.body as string) as NamedEdit);
      return { revision: (revision += 1) };
    }
    if (address.endsWith('/plan')) return { revision, pages: [], unchanged: 0 };
    return { site: { id: 'brackenfold', name: 'Brackenfold' }, revision, documents };
  };
  globalThis.fetch = (address, init) =>
    Promise.resolve({
      ok: true,
      status: 200,
      json: () => Promise.resolve(JSON.parse(JSON.stringify(answers(address as string, init)))),
    } as Response);
  const store = makeStore();
  render(
    <Provider store={store}>
      <MemoryRouter initialEntries={[`/sites/brackenfold/${path}`]}>
        <Routes>
          <Route path="/sites/:site" element={<SiteProvider />}>
            <Route path={route} element={<div data-testid="there">{ui}</div>} />
          </Route>
        </Routes>
      </MemoryRouter>
    </Provider>,
  );
  await screen.findByTestId('there');
  return {
    store,
    user: userEvent.setup(),
    documents: () => store.getState().site.documents,
    sent,
  };
}
