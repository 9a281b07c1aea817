import type { ReactNode } from 'react';
import { Button, Skeleton } from 'antd';
import { HeadedTable } from '../../parts/HeadedTable';
import { useSite } from '../../store/store';
import { count, inWords } from '../../words';
import type { Releases } from './use-releases';

/** Which pages publishing would change and why, and what publishes them. */
export function WouldChange({
  releases: { plan, isRunning, publish },
}: {
  releases: Releases;
}): ReactNode {
  const { pending } = useSite('pending');
  if (!plan) return <Skeleton active />;
  if (plan.pages.length === 0)
    return <p className="release-none">Nothing would change: every page is published as it is.</p>;
  return (
    <>
      <div className="screen-head">
        <h2>
          {count(plan.pages.length, 'page')} would change, {count(plan.unchanged, 'page')} would not
        </h2>
        <Button
          type="primary"
          onClick={publish}
          disabled={isRunning || pending.length > 0}
          loading={isRunning}
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
              <td>{what === 'later' ? 'at its time' : what}</td>
              <td>{reasons.map(inWords).join('; ')}</td>
            </tr>
          ))}
        </tbody>
      </HeadedTable>
    </>
  );
}
