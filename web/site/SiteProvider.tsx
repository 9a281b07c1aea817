import { createContext, useContext, useEffect, useMemo, useState, type ReactNode } from 'react';
import { useStore } from 'react-redux';
import { Outlet, useParams } from 'react-router';
import { Alert, Button, Skeleton } from 'antd';
import type { AppStore } from '../store/store';
import { useApp } from '../store/store';
import { Deriving, type Derived } from './deriving';
import { SiteSync } from './sync';
import { useMoment } from './use-moment';

const SyncContext = createContext<SiteSync | null>(null);

/** Makes edits on the open site. */
export function useSync(): SiteSync {
  const sync = useContext(SyncContext);
  if (!sync) throw new Error('No site is open here.');
  return sync;
}

const DerivedContext = createContext<Derived | null>(null);

export function useDerived(): Derived {
  const derived = useContext(DerivedContext);
  if (!derived) throw new Error('No site is open here.');
  return derived;
}

/** Opens the site of the address for everything below. */
export function SiteProvider(): ReactNode {
  const { site = '' } = useParams();
  const store = useStore() as AppStore;
  const sync = useMemo(() => new SiteSync(store, site), [store, site]);
  const status = useApp((state) => state.site.status);
  const error = useApp((state) => state.site.error);
  useEffect(() => {
    void sync.open();
    return () => sync.close();
  }, [sync]);
  if (status === 'failed')
    return (
      <div className="page-narrow">
        <Alert
          type="error"
          title="This site could not be opened"
          description={`${error ?? ''} What was typed here is kept in this browser.`}
          action={<Button onClick={() => void sync.open()}>Try again</Button>}
        />
      </div>
    );
  if (status !== 'ready') return <Skeleton active className="page-narrow" />;
  return (
    <SyncContext.Provider value={sync}>
      <DerivedProvider>
        <Outlet />
      </DerivedProvider>
    </SyncContext.Provider>
  );
}

function DerivedProvider({ children }: { children: ReactNode }): ReactNode {
  const { site } = useSync();
  const documents = useApp((state) => state.site.documents);
  const [deriving] = useState(() => new Deriving());
  const at = useMoment(site, documents);
  const derived = useMemo(() => deriving.from(documents, at), [deriving, documents, at]);
  return <DerivedContext.Provider value={derived}>{children}</DerivedContext.Provider>;
}
