import type { ReactNode } from 'react';
import { Button, Popconfirm, Skeleton } from 'antd';
import type { ReleaseSummary } from '@sormet/core/api';
import { HeadedTable } from '../../parts/HeadedTable';
import { count, momentWords, sentence } from '../../words';
import type { Releases } from './use-releases';

/** The releases there are; each that went well can be made live again. */
export function PastReleases({
  releases: { releases, goBackTo },
}: {
  releases: Releases;
}): ReactNode {
  if (!releases) return <Skeleton active />;
  if (releases.length === 0) return <p>Nothing has been published yet.</p>;
  return (
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
              {release.byItself ? (
                <span
                  className="quiet"
                  title="The time of an entry had come, or another day begun: what was live was made again"
                >
                  {' '}
                  by itself
                </span>
              ) : null}
            </td>
            <td>{count(release.pages.length, 'page')}</td>
            <td>{stateOf(release)}</td>
            <td>
              {release.state === 'done' && !release.live ? (
                <Popconfirm
                  title={`Make release ${release.number} live again?`}
                  description="Visitors see it at once; nothing in the bench changes."
                  okText="Make it live"
                  cancelText="Leave it"
                  onConfirm={() => goBackTo(release)}
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
  );
}

function stateOf({ live, state, error }: ReleaseSummary): ReactNode {
  if (live) return <b>live</b>;
  if (state === 'failed') return error ? `failed: ${sentence(error)}` : 'failed';
  return state === 'done' ? 'past' : state;
}
