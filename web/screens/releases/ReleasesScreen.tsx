import { useEffect, type ReactNode } from 'react';
import { Alert } from 'antd';
import { useSummary } from '../../site/use-summary';
import { siteActions } from '../../store/site-slice';
import { useAppDispatch } from '../../store/store';
import { PastReleases } from './PastReleases';
import { Running } from './Running';
import { useReleases } from './use-releases';
import { WouldChange } from './WouldChange';
import './ReleasesScreen.css';
import '../screens.css';

/** What publishing would change and why, its progress, and past releases. */
export function ReleasesScreen(): ReactNode {
  const summary = useSummary();
  const releases = useReleases();
  const { current, error } = releases;
  const dispatch = useAppDispatch();
  const live = releases.releases?.find((each) => each.live)?.number;
  const isLive = live !== undefined;
  // The way to the published site stands above every screen, from the first release on.
  useEffect(() => {
    if (live !== undefined) dispatch(siteActions.live(live));
  }, [dispatch, live]);
  return (
    <>
      <div className="screen-head">
        <h1>Releases</h1>
        {isLive && summary ? (
          <a href={summary.address} target="_blank" rel="noreferrer">
            {summary.address}
          </a>
        ) : null}
      </div>
      {error ? <Alert type="error" title={error} showIcon /> : null}
      <section aria-label="What publishing would change">
        <WouldChange releases={releases} />
      </section>
      {current ? <Running release={current} /> : null}
      <section aria-label="Past releases">
        <h2>Past releases</h2>
        <PastReleases releases={releases} />
      </section>
    </>
  );
}
