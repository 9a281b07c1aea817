import { useCallback, useEffect, useState, type ReactNode } from 'react';
import { Alert, Button, Popconfirm, Progress, Skeleton } from 'antd';
import { HeadedTable } from '../../parts/HeadedTable';
import { useSite } from '../../store/store';
import type { PlanAnswer, ReleaseSummary } from '@sormet/core/api';
import { api } from '../../site/api';
import { useSync } from '../../site/SiteProvider';
import { useSummary } from '../../site/use-summary';
import { count, momentWords } from '../../words';
import './ReleasesScreen.css';
import '../screens.css';

/** What publishing would change and why, its progress, and past releases. */
export function ReleasesScreen(): ReactNode {
  const sync = useSync();
  const { revision, pending } = useSite('revision', 'pending');
  const summary = useSummary();
  const [plan, setPlan] = useState<PlanAnswer | null>(null);
  const [releases, setReleases] = useState<readonly ReleaseSummary[] | null>(null);
  const [current, setCurrent] = useState<ReleaseSummary | null>(null);
  const [error, setError] = useState('');

  const load = useCallback(
    () =>
      Promise.all([api.plan(sync.site), api.releases(sync.site)]).then(
        ([nextPlan, list]) => {
          setPlan(nextPlan);
          setReleases(list.releases);
          setError('');
        },
        (problem: Error) => setError(problem.message),
      ),
    [sync],
  );
  useEffect(() => void load(), [load, revision]);

  const running =
    current && (current.state === 'waiting' || current.state === 'making') ? current.id : null;
  useEffect(() => {
    if (!running) return undefined;
    const timer = setInterval(() => {
      api.release(sync.site, running).then(
        (release) => {
          setCurrent(release);
          if (release.state === 'done' || release.state === 'failed') {
            void load();
            sync.planSoon(0);
          }
        },
        (problem: Error) => setError(problem.message),
      );
    }, 300);
    return () => clearInterval(timer);
  }, [running, sync, load]);

  const publish = async () => {
    setError('');
    try {
      setCurrent(await api.publish(sync.site));
    } catch (problem) {
      setError((problem as Error).message);
    }
  };
  const live = releases?.find((release) => release.live);
  return (
    <>
      <div className="screen-head">
        <h1>Releases</h1>
        {live && summary ? (
          <a href={summary.address} target="_blank" rel="noreferrer">
            {summary.address}
          </a>
        ) : null}
      </div>
      {error ? <Alert type="error" title={error} showIcon /> : null}
      <section aria-label="What publishing would change">
        {!plan ? (
          <Skeleton active />
        ) : plan.pages.length === 0 ? (
          <p className="release-none">Nothing would change: every page is published as it is.</p>
        ) : (
          <>
            <div className="screen-head">
              <h2>
                {count(plan.pages.length, 'page')} would change, {count(plan.unchanged, 'page')}{' '}
                would not
              </h2>
              <Button
                type="primary"
                onClick={() => void publish()}
                disabled={running !== null || pending.length > 0}
                loading={running !== null}
              >
                Publish {count(plan.pages.length, 'page')}
              </Button>
            </div>
            <HeadedTable
              label="Pages that would change"
              className="screen-table"
              heads={['Page', 'What', 'Why']}
            >
              <tbody>
                {plan.pages.map(({ path, what, reasons }) => (
                  <tr key={path}>
                    <td>
                      <code>{path}</code>
                    </td>
                    <td>{what}</td>
                    <td>{reasons.join('; ')}</td>
                  </tr>
                ))}
              </tbody>
            </HeadedTable>
          </>
        )}
      </section>
      {current ? <Running release={current} /> : null}
      <section aria-label="Past releases">
        <h2>Past releases</h2>
        {!releases ? (
          <Skeleton active />
        ) : releases.length === 0 ? (
          <p>Nothing has been published yet.</p>
        ) : (
          <HeadedTable
            label="Releases"
            className="screen-table"
            heads={['Release', 'When', 'Changed', 'State', { unseen: 'Acts' }]}
          >
            <tbody>
              {releases.map((release) => (
                <tr key={release.id}>
                  <td>{release.number}</td>
                  <td>
                    <time dateTime={release.at}>{momentWords(release.at)}</time>
                  </td>
                  <td>{count(release.pages.length, 'page')}</td>
                  <td>
                    {release.live ? (
                      <b>live</b>
                    ) : release.state === 'failed' ? (
                      `failed: ${release.error ?? ''}`
                    ) : release.state === 'done' ? (
                      'past'
                    ) : (
                      release.state
                    )}
                  </td>
                  <td>
                    {release.state === 'done' && !release.live ? (
                      <Popconfirm
                        title={`Make release ${release.number} live again?`}
                        description="Visitors see it at once; nothing in the bench changes."
                        okText="Make it live"
                        cancelText="Leave it"
                        onConfirm={() =>
                          void api
                            .goBack(sync.site, release.id)
                            .then(load, (problem: Error) => setError(problem.message))
                            .then(() => sync.planSoon(0))
                        }
                      >
                        <Button size="small" type="text">
                          make it live
                        </Button>
                      </Popconfirm>
                    ) : null}
                  </td>
                </tr>
              ))}
            </tbody>
          </HeadedTable>
        )}
      </section>
    </>
  );
}

function Running({ release }: { release: ReleaseSummary }): ReactNode {
  const { number, state, done, of, error } = release;
  if (state === 'failed')
    return (
      <Alert
        type="error"
        title={`Release ${number} failed: ${error ?? ''}`}
        description="What was live before is still live."
      />
    );
  if (state === 'done') return <Alert type="success" title={`Release ${number} is live.`} />;
  return (
    <div className="release-progress" role="status">
      <span>
        Release {number}: {done} of {count(of, 'page')}
      </span>
      <Progress percent={of === 0 ? 0 : Math.round((done / of) * 100)} showInfo={false} />
    </div>
  );
}
