import { lazy, Suspense, type ReactNode } from 'react';
import { useApp } from '../../store/store';
import './handbook.css';

const Handbook = lazy(() =>
  import('./Handbook').then(({ Handbook: loaded }) => ({ default: loaded })),
);

/** What one works at, with the handbook beside it when that is open; loaded with the first time. */
export function WithHandbook({ children }: { children: ReactNode }): ReactNode {
  const isOpen = useApp((state) => state.bench.handbook !== null);
  return (
    <div className={isOpen ? 'with-handbook is-open' : 'with-handbook'}>
      <div className="beside-handbook">{children}</div>
      {isOpen ? (
        <Suspense fallback={<aside className="handbook" aria-label="Handbook" aria-busy />}>
          <Handbook />
        </Suspense>
      ) : null}
    </div>
  );
}
