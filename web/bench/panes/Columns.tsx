import type { ReactNode } from 'react';
import { Group, Panel, Separator, useDefaultLayout } from 'react-resizable-panels';
import { useApp } from '../../store/store';

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
  ledger,
}: {
  left: ReactNode;
  open: ReactNode;
  beside: ReactNode;
  ledger: ReactNode;
}): ReactNode {
  const { folded } = useApp((state) => state.bench);
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
            <Group orientation="horizontal" className="canvases" {...useRemembered('canvases')}>
              <Panel id="page" minSize={240}>
                {open}
              </Panel>
              {beside ? (
                <>
                  <Separator className="divider" />
                  <Panel id="definition" defaultSize="38%" minSize={220}>
                    {beside}
                  </Panel>
                </>
              ) : null}
            </Group>
          </Panel>
          <Separator className="divider flat" />
          <Panel
            id="ledger"
            defaultSize={folded.ledger ? 32 : 336}
            minSize={32}
            groupResizeBehavior="preserve-pixel-size"
          >
            {ledger}
          </Panel>
        </Group>
      </Panel>
    </Group>
  );
}
