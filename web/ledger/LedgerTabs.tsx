import { own } from '@sormet/core/model';
import type { KeyboardEvent, ReactNode } from 'react';
import { PanelBottom, PanelRight } from 'lucide-react';
import { benchActions, type LedgerTab } from '../store/bench-slice';
import { useApp, useAppDispatch } from '../store/store';
import type { Selected } from './use-selected';
import { IconButton } from '../parts/IconButton';

const TABS: readonly { key: LedgerTab; label: string }[] = [
  { key: 'values', label: 'Values' },
  { key: 'style', label: 'Style' },
  { key: 'acts', label: 'Acts' },
  { key: 'history', label: 'History' },
];

/** The id of what the tabs choose between. */
export const LEDGER_PANEL = 'ledger-panel';

/** Where each key moves to from a tab (WAI-ARIA Authoring Practices, Tabs Pattern). */
const MOVES: Record<string, (at: number) => number> = {
  ArrowRight: (at) => (at + 1) % TABS.length,
  ArrowLeft: (at) => (at + TABS.length - 1) % TABS.length,
  Home: () => 0,
  End: () => TABS.length - 1,
};

/** What the ledger shows of what is selected, with how many of its values come from where. */
export function LedgerTabs({ selected }: { selected: Selected | undefined }): ReactNode {
  const tab = useApp((state) => state.bench.tab);
  const { ledger } = useApp((state) => state.bench.layout);
  const dispatch = useAppDispatch();
  const onKeyDown = (event: KeyboardEvent<HTMLElement>) => {
    const move = MOVES[event.key];
    if (!move) return;
    event.preventDefault();
    const next = TABS[move(TABS.findIndex(({ key }) => key === tab))]!;
    dispatch(benchActions.setTab(next.key));
    event.currentTarget.querySelector<HTMLElement>(`#ledger-tab-${next.key}`)?.focus();
  };
  return (
    <>
      <span className="ledger-summary">{selected?.count === 1 ? summaryOf(selected) : ''}</span>
      <div className="ledger-tabs" role="tablist" aria-label="Ledger" onKeyDown={onKeyDown}>
        {TABS.map(({ key, label }) => (
          <button
            key={key}
            id={`ledger-tab-${key}`}
            type="button"
            role="tab"
            aria-selected={tab === key}
            aria-controls={LEDGER_PANEL}
            tabIndex={tab === key ? 0 : -1}
            onClick={() => dispatch(benchActions.setTab(key))}
          >
            {label}
          </button>
        ))}
      </div>
      <IconButton
        icon={ledger ? PanelBottom : PanelRight}
        name={ledger ? 'Ledger below the page' : 'Ledger beside the page'}
        title={ledger ? 'Ledger below the page' : 'Ledger beside the page'}
        onPress={() => dispatch(benchActions.layOut({ ledger: !ledger }))}
      />
    </>
  );
}

/** How many values are default, set here and bound. */
function summaryOf({ node, component }: Selected): string {
  if (node.kind !== 'instance' || !component) return '';
  const all = Object.keys(component.properties);
  const given = all.flatMap((id) => own(node.values, id) ?? []);
  const set = given.filter(({ is }) => is === 'value' || is === 'acts').length;
  return `${all.length - given.length} default, ${set} set here, ${given.length - set} bound`;
}
