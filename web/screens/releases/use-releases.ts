import { useCallback, useEffect, useState } from 'react';
import type { PlanAnswer, ReleaseSummary } from '@sormet/core/api';
import { api } from '../../site/api';
import { useSync } from '../../site/SiteProvider';
import { useSite } from '../../store/store';

/** How often it is asked how far a release is, in ms. */
const ASKED_EVERY = 300;

/** What publishing would change, the releases there are, and the one that is being made. */
export interface Releases {
  /** Nothing until it is known. */
  readonly plan: PlanAnswer | null;
  readonly releases: readonly ReleaseSummary[] | null;
  /** The release that was asked for here, until another is. */
  readonly current: ReleaseSummary | null;
  readonly isRunning: boolean;
  readonly error: string;
  readonly publish: () => void;
  readonly goBackTo: (release: ReleaseSummary) => void;
}

export function useReleases(): Releases {
  const sync = useSync();
  const { revision } = useSite('revision');
  const [plan, setPlan] = useState<PlanAnswer | null>(null);
  const [releases, setReleases] = useState<readonly ReleaseSummary[] | null>(null);
  const [current, setCurrent] = useState<ReleaseSummary | null>(null);
  const [error, setError] = useState('');
  const failed = useCallback((problem: Error) => setError(problem.message), []);

  const load = useCallback(
    () =>
      Promise.all([api.plan(sync.site), api.releases(sync.site)]).then(([nextPlan, list]) => {
        setPlan(nextPlan);
        setReleases(list.releases);
        setError('');
      }, failed),
    [sync, failed],
  );
  useEffect(() => void load(), [load, revision]);

  const running =
    current && (current.state === 'waiting' || current.state === 'making') ? current.id : null;
  useEffect(() => {
    if (!running) return undefined;
    const timer = setInterval(() => {
      api.release(sync.site, running).then((release) => {
        setCurrent(release);
        if (release.state !== 'done' && release.state !== 'failed') return;
        void load();
        sync.planSoon(0);
      }, failed);
    }, ASKED_EVERY);
    return () => clearInterval(timer);
  }, [running, sync, load, failed]);

  return {
    plan,
    releases,
    current,
    isRunning: running !== null,
    error,
    publish() {
      setError('');
      void api.publish(sync.site).then(setCurrent, failed);
    },
    goBackTo: ({ id }) =>
      void api
        .goBack(sync.site, id)
        .then(load, failed)
        .then(() => sync.planSoon(0)),
  };
}
