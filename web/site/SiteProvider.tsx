import { createContext, useContext, useEffect, useMemo, useRef, type ReactNode } from 'react';
import { useStore } from 'react-redux';
import { Outlet, useParams } from 'react-router';
import { Alert, Button, Skeleton } from 'antd';
import { treeDocOf, Documents, type EntryDoc } from '@sormet/core/model';
import { Reach } from '@sormet/core/reach';
import { build, Linker, type Built } from '@sormet/core/resolve';
import { dataOf, type Data } from '@sormet/core/value';
import type { AppStore } from '../store/store';
import { useApp } from '../store/store';
import { SiteSync } from './sync';

const SyncContext = createContext<SiteSync | null>(null);

/** Makes edits on the open site. */
export function useSync(): SiteSync {
  const sync = useContext(SyncContext);
  if (!sync) throw new Error('No site is open here.');
  return sync;
}

/** What is worked out from the documents and brought up to date with them. */
export interface Derived {
  readonly documents: Documents;
  readonly data: Data;
  readonly reach: Reach;
  readonly linker: Linker;
  /** A document as it shows, for an entry where it is made from entries; worked out once for each state. */
  builtOf(doc: string, entry: EntryDoc | undefined): Built | undefined;
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
  const documents = useApp((state) => state.site.documents);
  const linker = useRef<Linker>(null);
  const before = useRef<Derived>(null);
  const trees = useRef(new Map<string, { documents: Documents; built: Built }>());
  linker.current ??= new Linker();
  if (before.current?.documents !== documents) {
    const reach = before.current?.reach ?? new Reach();
    reach.updateAll(before.current?.documents ?? Documents.none, documents);
    const data = dataOf(documents, before.current?.data);
    const link = linker.current;
    before.current = {
      documents,
      data,
      reach,
      linker: link,
      builtOf(doc, entry) {
        if (!treeDocOf(documents, doc)) return undefined;
        const key = `${doc} ${entry?.id ?? ''}`;
        const kept = trees.current.get(key);
        if (kept?.documents === documents && kept.built.scope.page === entry) return kept.built;
        const built = build(link.link(documents, doc), data, entry, kept?.built);
        if (trees.current.size > 40) trees.current.clear();
        trees.current.set(key, { documents, built });
        return built;
      },
    };
  }
  const derived = before.current;
  const { name } = documents.site;
  useEffect(() => {
    document.title = `${name} · Sormet`;
  }, [name]);
  return <DerivedContext.Provider value={derived}>{children}</DerivedContext.Provider>;
}
