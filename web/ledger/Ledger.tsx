import { useRef, type ReactNode } from 'react';
import { docOf, type EntryDoc, type TreeDoc } from '@sormet/core/model';
import type { LedgerTab } from '../store/bench-slice';
import { useApp } from '../store/store';
import { useDerived } from '../site/SiteProvider';
import type { Selected } from './use-selected';
import { ActsLedger } from './acts/ActsLedger';
import { ComponentValues } from './ComponentValues';
import { ElementValues } from './ElementValues';
import { ExposeTable } from './ExposeTable';
import { Gaps } from './Gaps';
import { HistoryList } from './HistoryList';
import { InstanceValues } from './InstanceValues';
import { InsideLedger } from './inside/InsideLedger';
import { LEDGER_PANEL } from './LedgerTabs';
import { PageValues } from './PageValues';
import { RepeatValues } from './repeat/RepeatValues';
import { SeveralValues } from './SeveralValues';
import { FilledSlot, SlotValues } from './SlotValues';
import { StyleLedger } from './style/StyleLedger';
import './Ledger.css';

/** The ledger: one row for each value, one column for each place it can come from. */
export function Ledger({
  doc,
  entry,
  selected,
}: {
  /** What is open: its own values are shown while nothing in it is selected. */
  doc: TreeDoc;
  /** The entry that is looked at, on a page made from entries. */
  entry: EntryDoc | undefined;
  selected: Selected | undefined;
}): ReactNode {
  const tab = useApp((state) => state.bench.tab);
  const body = useRef<HTMLDivElement>(null);
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
          body.current?.focus();
      }}
    >
      <div
        ref={body}
        id={LEDGER_PANEL}
        className="ledger-body"
        role="tabpanel"
        aria-labelledby={`ledger-tab-${tab}`}
        tabIndex={-1}
      >
        {tab === 'history' ? (
          <HistoryList key={doc.id} doc={doc} />
        ) : selected ? (
          <Body selected={selected} tab={tab} />
        ) : (
          <OfDocument doc={doc} entry={entry} tab={tab} />
        )}
      </div>
    </section>
  );
}

function OfDocument({
  doc,
  entry,
  tab,
}: {
  doc: TreeDoc;
  entry: EntryDoc | undefined;
  tab: Exclude<LedgerTab, 'history'>;
}): ReactNode {
  if (tab === 'style')
    return (
      <p className="ledger-empty">
        Select something on the page or in the outline: its style stands here, with every rule that
        says something of it.
      </p>
    );
  if (tab === 'acts')
    return (
      <p className="ledger-empty">
        Select something on the page or in the outline: what it does when something happens to it
        stands here.
      </p>
    );
  return (
    <>
      <Gaps doc={doc} />
      {doc.kind === 'page' ? (
        <PageValues key={doc.id} page={doc} entry={entry} />
      ) : (
        <ComponentValues key={doc.id} component={doc} />
      )}
    </>
  );
}

function Body({
  selected,
  tab,
}: {
  selected: Selected;
  tab: Exclude<LedgerTab, 'history'>;
}): ReactNode {
  const { documents } = useDerived();
  const { node, doc, id, slot } = selected;
  const definition = docOf(documents, 'component', doc.id);
  if (selected.inside)
    return <InsideLedger selected={selected} inside={selected.inside} tab={tab} />;
  if (tab === 'acts') return <ActsLedger key={selected.doc.id + selected.id} selected={selected} />;
  if (tab === 'style')
    return <StyleLedger key={selected.doc.id + selected.id} selected={selected} />;
  if (selected.count > 1) return <SeveralValues key={selected.all.join()} selected={selected} />;
  if (node.kind === 'instance' && slot !== undefined)
    return <FilledSlot key={id + slot} selected={selected} slot={slot} />;
  if (node.kind === 'slot' && definition)
    return <SlotValues key={id} component={definition} slot={node.slot} selected={selected} />;
  if (node.kind === 'repeat') return <RepeatValues key={id} selected={selected} />;
  if (definition && selected.isRoot)
    return <ExposeTable key={definition.id} component={definition} />;
  if (selected.node.kind === 'instance' && !definition)
    return <InstanceValues key={selected.doc.id + selected.id} selected={selected} />;
  return <ElementValues key={selected.doc.id + selected.id} selected={selected} />;
}
