import type { ReactNode } from 'react';
import { Group, Panel, Separator, useDefaultLayout } from 'react-resizable-panels';
import { useApp } from '../../store/store';
import { useShares } from './use-shares';

/** The height of the line with the sentence and the tabs, and of a table's head with nine rows below it, in CSS px. */
const LINE = 32;
const TABLE = 10 * 24 + 1;

/** Where the dividers were left is remembered in the browser, for each group of panes. */
function useRemembered(group: string) {
  const { defaultLayout, onLayoutChanged } = useDefaultLayout({
    id: `sormet.bench.${group}`,
    storage: localStorage,
  });
  return { defaultLayout, onLayoutChanged };
}

/** The bench's panes: the left side, what is drawn over the ledger, a definition beside the page. */
export function Columns({
  left,
  open,
  beside,
  edited,
  ledger,
}: {
  left: ReactNode;
  open: ReactNode;
  beside: ReactNode;
  /** Which of the two is edited: it has the greater share of the room. */
  edited: 'page' | 'definition';
  ledger: ReactNode;
}): ReactNode {
  const { folded } = useApp((state) => state.bench);
  const shares = useShares(edited, beside !== null);
  return (
    <Group orientation="horizontal" className="bench-columns" {...useRemembered('columns')}>
      {folded.left ? null : (
        <>
          <Panel
            id="left"
            defaultSize={216}
            minSize={160}
            maxSize={420}
            groupResizeBehavior="preserve-pixel-size"
          >
            {left}
          </Panel>
          <Separator className="divider" />
        </>
      )}
      <Panel id="middle" minSize={320}>
        <Group orientation="vertical" {...useRemembered('rows')}>
          <Panel id="canvases" minSize={120}>
            <Group orientation="horizontal" className="canvases" {...shares}>
              <Panel id="page" minSize={180}>
                {open}
              </Panel>
              {beside ? (
                <>
                  <Separator className="divider" />
                  <Panel id="definition" defaultSize="34%" minSize={180}>
                    {beside}
                  </Panel>
                </>
              ) : null}
            </Group>
          </Panel>
          <Separator className="divider flat" />
          <Panel
            id="ledger"
            defaultSize={folded.ledger ? LINE : LINE + TABLE}
            minSize={LINE}
            groupResizeBehavior="preserve-pixel-size"
          >
            {ledger}
          </Panel>
        </Group>
      </Panel>
    </Group>
  );
}
