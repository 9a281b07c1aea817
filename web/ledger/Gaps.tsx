import { useMemo, type ReactNode } from 'react';
import { gapsIn, type GapFinding } from '@sormet/core/check';
import { nodeName } from '@sormet/core/edit';
import type { TreeDoc } from '@sormet/core/model';
import { useDerived, useSync } from '../site/SiteProvider';
import { benchActions } from '../store/bench-slice';
import { useAppDispatch } from '../store/store';

/** Wrappers that leave a gap when their only content is not shown: each leads there, one press makes them follow it. */
export function Gaps({ doc }: { doc: TreeDoc }): ReactNode {
  const { documents } = useDerived();
  const sync = useSync();
  const dispatch = useAppDispatch();
  const gaps = useMemo(() => gapsIn(documents, doc), [documents, doc]);
  if (gaps.length === 0) return null;
  const follow = () =>
    sync.edit({
      name: 'setControls',
      args: {
        set: gaps.map(({ wrapper, shown }) => ({
          doc: doc.id,
          node: wrapper,
          control: { of: 'shown' },
          source: shown,
        })),
      },
    });
  const words = ({ wrapper, content }: GapFinding) =>
    `${nodeName(documents, doc.nodes[wrapper]!, doc)} around ${nodeName(documents, doc.nodes[content]!, doc)}`;
  return (
    <p className="ledger-actions gaps">
      <span>Leaves a gap when what is in it is not shown:</span>
      {gaps.map((gap) => (
        <button
          key={gap.wrapper}
          type="button"
          className="as-link"
          onClick={() => dispatch(benchActions.select({ doc: doc.id, nodes: [gap.wrapper] }))}
        >
          {words(gap)}
        </button>
      ))}
      <button type="button" className="as-link" onClick={follow}>
        {gaps.length === 1 ? 'make it follow' : 'make them follow'}
      </button>
    </p>
  );
}
