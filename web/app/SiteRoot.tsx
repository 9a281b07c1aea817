import type { ReactNode } from 'react';
import { Provider } from 'react-redux';
import { WithHandbook } from '../parts/handbook/WithHandbook';
import { SiteProvider } from '../site/SiteProvider';
import { makeStore } from '../store/store';

const store = makeStore();

/** What all screens of a site stand in: the state of the window and the site that is open. Loaded with the first of them. */
export function SiteRoot(): ReactNode {
  return (
    <Provider store={store}>
      <WithHandbook>
        <SiteProvider />
      </WithHandbook>
    </Provider>
  );
}
