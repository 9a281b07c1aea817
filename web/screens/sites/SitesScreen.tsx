import { useEffect, useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import { Alert, Button, Skeleton } from 'antd';
import type { SiteSummary } from '@sormet/core/api';
import { api } from '../../site/api';
import { count } from '../../bench/words';
import './SitesScreen.css';
import '../screens.css';

/** All sites, each with its state. */
export function SitesScreen(): ReactNode {
  const [sites, setSites] = useState<readonly SiteSummary[] | null>(null);
  const [error, setError] = useState('');
  const load = () => {
    setError('');
    api.sites().then(
      (answer) => setSites(answer.sites),
      (problem: Error) => setError(problem.message),
    );
  };
  useEffect(() => {
    document.title = 'Sites · Sormet';
    load();
  }, []);
  return (
    <div className="frame">
      <header className="bar">
        <span className="bar-brand">Sormet</span>
      </header>
      <main className="frame-main">
        <h1>Sites</h1>
        {error ? (
          <Alert type="error" title={error} action={<Button onClick={load}>Try again</Button>} />
        ) : null}
        {!sites && !error ? <Skeleton active /> : null}
        <ul className="site-list">
          {sites?.map((site) => (
            <li key={site.id}>
              <Link to={`/sites/${site.id}`} className="site-name">
                {site.name}
              </Link>
              <span className="quiet">{count(site.pages, 'address', 'addresses')}</span>
              <span className="quiet">
                {site.live === null ? 'not published yet' : `release ${site.live} is live`}
              </span>
              {site.live === null ? (
                <span />
              ) : (
                <a href={site.address} target="_blank" rel="noreferrer">
                  {site.address}
                </a>
              )}
            </li>
          ))}
        </ul>
      </main>
    </div>
  );
}
