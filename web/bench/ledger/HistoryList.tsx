import { useEffect, useState, type ReactNode } from 'react';
import { Alert, Skeleton } from 'antd';
import { useApp } from '../../store/store';
import type { HistoryLine } from '@sormet/core/api';
import { api } from '../../site/api';
import { useSync } from '../../site/SiteProvider';
import { momentWords } from '../words';
import './HistoryList.css';

/** What was done on the site, newest first: one line for one stretch of typing or moving. */
export function HistoryList(): ReactNode {
  const sync = useSync();
  const revision = useApp((state) => state.site.revision);
  const [lines, setLines] = useState<readonly HistoryLine[] | null>(null);
  const [error, setError] = useState('');
  useEffect(() => {
    let gone = false;
    api.historyLines(sync.site, revision + 1).then(
      (answer) => {
        if (!gone) setLines(answer.lines);
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
  if (!lines) return <Skeleton active />;
  if (lines.length === 0) return <p className="ledger-empty">Nothing has been changed yet.</p>;
  return (
    <ol className="history-list">
      {lines.map(({ first, last, says, at }) => (
        <li key={last}>
          <span className="history-revision">{first === last ? last : `${first}–${last}`}</span>
          <span>{says}</span>
          <time dateTime={at}>{momentWords(at)}</time>
        </li>
      ))}
    </ol>
  );
}
