import type { ReactNode } from 'react';
import { docOf } from '@sormet/core/model';
import { useApp, useAppDispatch } from '../../store/store';
import { useDerived } from '../../site/SiteProvider';
import { benchActions, type LedgerTab } from '../../store/bench-slice';
import type { Selected } from '../use-selected';
import { ElementValues } from './ElementValues';
import { ExposeTable } from './ExposeTable';
import { HistoryList } from './HistoryList';
import { InstanceValues } from './InstanceValues';
import { StyleLedger } from './style/StyleLedger';
import './Ledger.css';

const TABS: readonly { key: LedgerTab; label: string }[] = [
  { key: 'values', label: 'Values' },
  { key: 'style', label: 'Style' },
  { key: 'history', label: 'History' },
];

/** The ledger: one row for each value, one column for each place it can come from. */
export function Ledger({ selected }: { selected: Selected | undefined }): ReactNode {
  const tab = useApp((state) => state.bench.tab);
  const dispatch = useAppDispatch();
  return (
    <section
      className="ledger"
      aria-label="Ledger"
      onKeyDown={(event) => {
        // Escape leaves a field, so that single keys work again; an open list closes first.
        if (
          event.key === 'Escape' &&
          event.target instanceof HTMLElement &&
          !event.target.closest('.ant-select-open')
        )
          event.target.blur();
      }}
    >
      <div className="ledger-tabs" role="tablist">
        {TABS.map(({ key, label }) => (
          <button
            key={key}
            type="button"
            role="tab"
            aria-selected={tab === key}
            onClick={() => dispatch(benchActions.setTab(key))}
          >
            {label}
          </button>
        ))}
        <span className="ledger-summary">{selected ? <Summary selected={selected} /> : null}</span>
      </div>
      <div className="ledger-body" role="tabpanel" tabIndex={-1}>
        {tab === 'history' ? (
          <HistoryList />
        ) : selected ? (
          <Body selected={selected} tab={tab} />
        ) : (
          <p className="ledger-empty">
            Select something on the page or in the outline: its values and style stand here.
          </p>
        )}
      </div>
    </section>
  );
}

function Body({ selected, tab }: { selected: Selected; tab: 'values' | 'style' }): ReactNode {
  const { documents } = useDerived();
  if (tab === 'style')
    return <StyleLedger key={selected.doc.id + selected.id} selected={selected} />;
  const definition = docOf(documents, 'component', selected.doc.id);
  if (definition && selected.isRoot)
    return <ExposeTable key={definition.id} component={definition} />;
  if (selected.node.kind === 'instance' && !definition)
    return <InstanceValues key={selected.doc.id + selected.id} selected={selected} />;
  return <ElementValues key={selected.doc.id + selected.id} selected={selected} />;
}

/** How many values are default, set here and bound. */
function Summary({ selected }: { selected: Selected }): ReactNode {
  const { node, component } = selected;
  if (node.kind !== 'instance' || !component) return null;
  const all = Object.keys(component.properties);
  const given = all.flatMap((id) => node.values[id] ?? []);
  const set = given.filter(({ is }) => is === 'value').length;
  return `${all.length - given.length} default, ${set} set here, ${given.length - set} bound`;
}
