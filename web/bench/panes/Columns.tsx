import type { ReactNode } from 'react';
import { Group, Panel, Separator, useDefaultLayout } from 'react-resizable-panels';
import { keep, kept } from '../../store/kept';
import { useBench } from '../../store/store';
import { useLayout } from './use-layout';
import { useShares, type Edited } from './use-shares';

/** The height of the line with the sentence and the tabs, and of a table's head with nine rows below it, in CSS px. */
const LINE = 32;
const TABLE = 10 * 24 + 1;

/** How wide outline and shelf are, and a ledger that stands beside the page, in CSS px. */
const SIDE = 216;
const BESIDE = 620;

/** What a browser keeps of panes, where it is what panes are kept as: by pane its share in percent. */
function layoutIn(stored: unknown): Record<string, number> | undefined {
  if (typeof stored !== 'object' || stored === null || Array.isArray(stored)) return undefined;
  const isShare = (share: unknown) => typeof share === 'number' && share >= 0 && share <= 100;
  return Object.values(stored).every(isShare) ? (stored as Record<string, number>) : undefined;
}

/** The browser's storage as the panes use it: what stands there and is nothing of theirs is as if it were not. */
const STORAGE = {
  getItem(key: string): string | null {
    const layout = kept(key, layoutIn, undefined);
    return layout ? JSON.stringify(layout) : null;
  },
  setItem(key: string, text: string): void {
    keep(key, JSON.parse(text));
  },
};

/** Where the dividers were left is remembered in the browser, for each group of panes. */
function useRemembered(group: string) {
  const { defaultLayout, onLayoutChanged } = useDefaultLayout({
    id: `sormet.bench.${group}`,
    storage: STORAGE,
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
  edited: Edited;
  ledger: ReactNode;
}): ReactNode {
  const { folded } = useBench('folded');
  const shares = useShares(edited, beside !== null);
  const layout = useLayout();
  return (
    <Group
      orientation="horizontal"
      className="bench-columns"
      {...useRemembered(layout.left ? 'columns-wide' : 'columns')}
    >
      {folded.left ? null : (
        <>
          <Panel
            id="left"
            key={String(layout.left)}
            defaultSize={layout.left ? 2 * SIDE : SIDE}
            minSize={layout.left ? 300 : 160}
            maxSize={layout.left ? 720 : 420}
            groupResizeBehavior="preserve-pixel-size"
          >
            {left}
          </Panel>
          <Separator className="divider" />
        </>
      )}
      <Panel id="middle" minSize={320}>
        <Group
          key={String(layout.ledger)}
          orientation={layout.ledger ? 'horizontal' : 'vertical'}
          {...useRemembered(layout.ledger ? 'rows-beside' : 'rows')}
        >
          <Panel id="canvases" minSize={layout.ledger ? 300 : 120}>
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
          <Separator className={layout.ledger ? 'divider' : 'divider flat'} />
          <Panel
            id="ledger"
            defaultSize={layout.ledger ? BESIDE : folded.ledger ? LINE : LINE + TABLE}
            minSize={layout.ledger ? 360 : LINE}
            groupResizeBehavior="preserve-pixel-size"
          >
            {ledger}
          </Panel>
        </Group>
      </Panel>
    </Group>
  );
}
