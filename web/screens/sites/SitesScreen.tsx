import { useTitle } from '../../parts/use-title';
import { lazy, Suspense, useCallback, useEffect, useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import { Alert, Button, Skeleton } from 'antd';
import type { RemovedSite, SiteSummary } from '@sormet/core/api';
import { api } from '../../site/api';
import { count, momentWords } from '../../words';
import { SitePicture } from './SitePicture';
import './SitesScreen.css';
import '../screens.css';

/** The dialogs are loaded when somebody asks for them: forms are larger than all else of this screen. */
const MakeSite = lazy(() =>
  import('./MakeSite').then(({ MakeSite: loaded }) => ({ default: loaded })),
);
const RemoveSite = lazy(() =>
  import('./RemoveSite').then(({ RemoveSite: loaded }) => ({ default: loaded })),
);

interface Listed {
  readonly sites: readonly SiteSummary[];
  readonly removed: readonly RemovedSite[];
}

/** All sites, each with its picture, pages, last change and state; new ones made, others removed and brought back. */
export function SitesScreen(): ReactNode {
  const [listed, setListed] = useState<Listed | null>(null);
  const [error, setError] = useState('');
  const [making, setMaking] = useState(false);
  const [removing, setRemoving] = useState<SiteSummary | null>(null);
  const [asked, setAsked] = useState({ making: false, removing: false });
  if (making && !asked.making) setAsked({ ...asked, making: true });
  if (removing && !asked.removing) setAsked({ ...asked, removing: true });
  const load = useCallback(
    () =>
      api.sites().then(
        (sites) => {
          setListed(sites);
          setError('');
        },
        (problem: Error) => setError(problem.message),
      ),
    [],
  );
  useEffect(() => {
    void load();
  }, [load]);
  useTitle('Sites');
  const bringBack = (site: RemovedSite) =>
    api.bringBack(site.id).then(load, (problem: Error) => setError(problem.message));
  return (
    <div className="frame">
      <header className="bar">
        <span className="bar-brand">Sormet</span>
        <span className="bar-space" />
        <Link to="/handbook">Handbook</Link>
      </header>
      <main className="frame-main">
        <div className="screen-head">
          <h1>Sites</h1>
          <Button type="primary" onClick={() => setMaking(true)}>
            Make a site
          </Button>
        </div>
        {error ? (
          <Alert
            type="error"
            title={error}
            action={<Button onClick={() => void load()}>Try again</Button>}
          />
        ) : null}
        {!listed && !error ? <Skeleton active /> : null}
        {listed?.sites.length === 0 ? (
          <p className="first-steps">
            There is no site yet. Make one: with nothing but a surround, or with some pages to go on
            from.{' '}
            <Button size="small" type="primary" onClick={() => setMaking(true)}>
              Make the first site
            </Button>
          </p>
        ) : null}
        <ul className="site-list">
          {listed?.sites.map((site) => (
            <li key={site.id}>
              <SitePicture site={site} />
              <div className="site-words">
                <Link to={`/sites/${site.id}`} className="site-name">
                  {site.name}
                </Link>
                <dl>
                  <div>
                    <dt>pages</dt>
                    <dd>{count(site.pages, 'address', 'addresses')}</dd>
                  </div>
                  <div>
                    <dt>changed</dt>
                    <dd>{site.changed ? momentWords(site.changed) : 'not yet'}</dd>
                  </div>
                  <div>
                    <dt>published</dt>
                    <dd>{stateWords(site)}</dd>
                  </div>
                  <div>
                    <dt>address</dt>
                    <dd>
                      {site.live === null ? (
                        <span className="quiet">{site.address}</span>
                      ) : (
                        <a href={site.address} target="_blank" rel="noreferrer">
                          {site.address}
                        </a>
                      )}
                    </dd>
                  </div>
                </dl>
              </div>
              <div className="site-acts">
                <Link to={`/sites/${site.id}/settings`}>settings</Link>
                <button type="button" className="as-link" onClick={() => setRemoving(site)}>
                  remove
                </button>
              </div>
            </li>
          ))}
        </ul>
        {listed && listed.removed.length > 0 ? (
          <section aria-label="Removed sites">
            <h2>Removed</h2>
            <ul className="removed-list">
              {listed.removed.map((site) => (
                <li key={site.id}>
                  <span>{site.name}</span>
                  <span className="quiet">kept until {momentWords(site.until)}</span>
                  <Button size="small" onClick={() => void bringBack(site)}>
                    Bring it back
                  </Button>
                </li>
              ))}
            </ul>
          </section>
        ) : null}
      </main>
      <Suspense>
        {asked.making ? (
          <MakeSite open={making} sites={listed?.sites ?? []} onClose={() => setMaking(false)} />
        ) : null}
        {asked.removing ? (
          <RemoveSite
            site={removing}
            onClose={(removed) => {
              setRemoving(null);
              if (removed) void load();
            }}
          />
        ) : null}
      </Suspense>
    </div>
  );
}

function stateWords({ live, unpublished }: SiteSummary): string {
  if (live === null) return 'never';
  return unpublished ? `release ${live}; changed since` : `release ${live}; nothing has changed`;
}
