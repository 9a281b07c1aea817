import type { ReactNode } from 'react';
import { Button } from 'antd';
import { own, type TreeDoc } from '@sormet/core/model';
import { describe } from '../canvas/address';
import { innerWords } from '../canvas/inside';
import { writtenRule } from '../ledger/style/lit-rule';
import type { Selected } from '../ledger/use-selected';
import { useDerived } from '../site/SiteProvider';
import { benchActions } from '../store/bench-slice';
import { siteActions } from '../store/site-slice';
import { useApp, useAppDispatch, useBench } from '../store/store';
import { documentWords } from '../words';
import { Editing } from './Editing';
import { Offered } from './Offered';
import './Sentence.css';

/** What is being edited and whom it reaches, said before anything is typed; before that, what was not done and why. */
export function Sentence({
  doc: open,
  selected,
}: {
  /** What is open. */
  doc: TreeDoc;
  selected: Selected | undefined;
}): ReactNode {
  const { notice, tab, lit } = useBench('notice', 'tab', 'lit');
  const refusal = useApp((state) => state.site.refusal);
  if (refusal) return <Refused says={refusal.says} />;
  if (notice) return <Noticed says={notice} />;
  if (!selected) return <NothingSelected kind={open.kind} />;
  const { component, slot, inside } = selected;
  const filled = slot === undefined ? undefined : component && own(component.slots, slot);
  if (filled && tab === 'values') return <FillingSlot selected={selected} label={filled.label} />;
  const rule = tab === 'style' ? writtenRule(selected, lit) : undefined;
  if (inside?.element && !rule)
    return <LookingInside selected={selected} element={inside.element} />;
  return <Editing selected={selected} rule={rule} />;
}

function Refused({ says }: { says: string }): ReactNode {
  const dispatch = useAppDispatch();
  return (
    <div className="sentence edge-wrong" role="alert">
      <span>Not done: {says}</span>
      <Button size="small" type="text" onClick={() => dispatch(siteActions.refusalSeen())}>
        understood
      </Button>
    </div>
  );
}

function Noticed({ says }: { says: string }): ReactNode {
  const dispatch = useAppDispatch();
  return (
    <div className="sentence edge-none" role="status">
      <span>{says}</span>
      <Offered />
      <Button size="small" type="text" onClick={() => dispatch(benchActions.notice(null))}>
        understood
      </Button>
    </div>
  );
}

function NothingSelected({ kind }: Pick<TreeDoc, 'kind'>): ReactNode {
  return (
    <div className="sentence edge-none">
      <span className="sentence-words">
        Nothing is selected: below stands what {kind === 'page' ? 'the page' : 'the definition'}{' '}
        says of itself. Click something, or press <kbd>g</kbd> to place, go or do.
      </span>
    </div>
  );
}

function FillingSlot({
  selected: { doc, id },
  label,
}: {
  selected: Selected;
  label: string;
}): ReactNode {
  const { documents } = useDerived();
  return (
    <div className="sentence edge-instance" data-edge="instance">
      <span className="sentence-words">
        You are filling the slot <b>{label}</b> of {describe(documents, doc.id, id)} on{' '}
        {documentWords(documents, doc.id)}.
      </span>
    </div>
  );
}

function LookingInside({
  selected: { doc, id, component },
  element,
}: {
  selected: Selected;
  element: NonNullable<NonNullable<Selected['inside']>['element']>;
}): ReactNode {
  const { documents } = useDerived();
  const dispatch = useAppDispatch();
  return (
    <div className="sentence edge-none" data-edge="inside">
      <span className="sentence-words">
        You are looking inside {describe(documents, doc.id, id)} on{' '}
        {documentWords(documents, doc.id)}, at{' '}
        <b>{innerWords(documents, element, component?.id ?? '')}</b>. Nothing changes by it.
      </span>
      <Button
        size="small"
        type="text"
        onClick={() => dispatch(benchActions.select({ doc: doc.id, nodes: [id] }))}
      >
        Back out <kbd>i</kbd>
      </Button>
    </div>
  );
}
