import type { ReactNode } from 'react';
import { Alert, Progress } from 'antd';
import type { ReleaseSummary } from '@sormet/core/api';
import { count, sentence } from '../../words';

/** How far a release is, or how it ended. */
export function Running({ release }: { release: ReleaseSummary }): ReactNode {
  const { number, state, done, of, error } = release;
  if (state === 'failed')
    return (
      <Alert
        type="error"
        title={`Release ${number} failed: ${error ? sentence(error) : ''}`}
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
