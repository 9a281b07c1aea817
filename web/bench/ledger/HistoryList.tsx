import { useEffect, useState, type ReactNode } from 'react';
import { Alert, Skeleton } from 'antd';
import { useApp } from '../../app/store';
import { api, type HistoryEdit } from '../../site/api';
import { useSync } from '../../site/SiteProvider';
import { momentWords } from '../words';

/** What was done on the site, newest first. */
export function HistoryList(): ReactNode {
  const sync = useSync();
  const revision = useApp((state) => state.site.revision);
  const [edits, setEdits] = useState<readonly HistoryEdit[] | null>(null);
  const [error, setError] = useState('');
  useEffect(() => {
    let gone = false;
    api.history(sync.site, Math.max(0, revision - 100)).then(
      (answer) => {
        if (!gone) setEdits([...answer.edits].reverse());
      },
      (problem: Error) => {
        if (!gone) setError(problem.message);
      },
    );
    return () => {
      gone = true;
    };
  }, [sync, revision]);
  if (error) return <Alert type="warning" title={error} />;
  if (!edits) return <Skeleton active />;
  if (edits.length === 0) return <p className="ledger-empty">Nothing has been changed yet.</p>;
  return (
    <ol className="history-list">
      {edits.map(({ revision: at, says, at: when }) => (
        <li key={at}>
          <span className="history-revision">{at}</span>
          <span>{says}</span>
          <time dateTime={when}>{momentWords(when)}</time>
        </li>
      ))}
    </ol>
  );
}
