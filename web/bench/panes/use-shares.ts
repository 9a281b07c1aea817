import { useCallback, useEffect, useRef } from 'react';
import { useLatest } from '../../parts/use-latest';
import { keep, kept } from '../../store/kept';
import { useGroupRef, type Layout } from 'react-resizable-panels';

const KEY = 'sormet.bench.share';

/** The share of the room that what is edited has, unless somebody drew the divider elsewhere: two thirds. */
const SHARE = 66;
const [LEAST, MOST] = [50, 85];

const inRange = (share: unknown): share is number =>
  typeof share === 'number' && share >= LEAST && share <= MOST;

function keptShare(): number {
  return kept(KEY, (stored) => (inRange(stored) ? stored : undefined), SHARE);
}

/** What of the two is edited; neither where they are compared, each in half of the room. */
export type Edited = 'page' | 'definition' | 'neither';

/**
 * Page and definition side by side: the one that is edited has the greater share, which is remembered when the divider
 * is drawn. Which of them that is changes with what is selected.
 */
export function useShares(edited: Edited, isBeside: boolean) {
  const group = useGroupRef();
  const now = useLatest(edited);
  /** Whether the shares are still to be given: the second pane is there a moment after it was asked for. */
  const due = useRef(false);
  const give = useCallback(() => {
    if (!due.current || group.current?.getLayout()['definition'] === undefined) return;
    due.current = false;
    const share = now.current === 'neither' ? 50 : keptShare();
    const page = now.current === 'definition' ? 100 - share : share;
    group.current.setLayout({ page, definition: 100 - page });
  }, [group, now]);
  useEffect(() => {
    due.current = isBeside;
    give();
  }, [edited, isBeside, give]);
  const onLayoutChanged = useCallback(
    (layout: Layout) => {
      if (due.current) return give();
      const share = layout[now.current];
      if (layout['definition'] !== undefined && inRange(share)) keep(KEY, Math.round(share));
    },
    [give, now],
  );
  return { groupRef: group, onLayoutChanged };
}
