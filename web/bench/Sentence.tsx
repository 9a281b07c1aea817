import type { ReactNode } from 'react';
import { Button } from 'antd';
import { docOf, EVERY_TAG, isPerEntry, own, type TreeDoc } from '@sormet/core/model';
import { describe } from '../canvas/address';
import { innerWords } from '../canvas/inside';
import { useApp, useAppDispatch, useBench } from '../store/store';
import { siteActions } from '../store/site-slice';
import { useDerived } from '../site/SiteProvider';
import { benchActions } from '../store/bench-slice';
import { writtenRule } from '../ledger/style/lit-rule';
import { partWords, useRuleWords } from '../ledger/style/rule-words';
import type { Selected } from '../ledger/use-selected';
import { Offered } from './Offered';
import { componentWords, count, documentWords, namesOf, reachWords } from '../words';
import './Sentence.css';

type Edge = 'definition' | 'instance' | 'plain' | 'bound' | 'none';

/** What is being edited and whom it reaches, said before anything is typed. */
export function Sentence({
  doc: open,
  selected,
}: {
  /** What is open. */
  doc: TreeDoc;
  selected: Selected | undefined;
}): ReactNode {
  const { documents, reach } = useDerived();
  const dispatch = useAppDispatch();
  const { notice, tab, lit, beside } = useBench('notice', 'tab', 'lit', 'beside');
  const refusal = useApp((state) => state.site.refusal);
  const words = useRuleWords(selected?.inside ?? selected);
  if (refusal)
    return (
      <div className="sentence edge-wrong" role="alert">
        <span>Not done: {refusal.says}</span>
        <Button size="small" type="text" onClick={() => dispatch(siteActions.refusalSeen())}>
          understood
        </Button>
      </div>
    );
  if (notice)
    return (
      <div className="sentence edge-none" role="status">
        <span>{notice}</span>
        <Offered />
        <Button size="small" type="text" onClick={() => dispatch(benchActions.notice(null))}>
          understood
        </Button>
      </div>
    );
  if (!selected)
    return (
      <div className="sentence edge-none">
        <span className="sentence-words">
          Nothing is selected: below stands what{' '}
          {open.kind === 'page' ? 'the page' : 'the definition'} says of itself. Click something, or
          press <kbd>g</kbd> to place, go or do.
        </span>
      </div>
    );
  const { doc, id, node, component, slot } = selected;
  const slotMade = slot === undefined ? undefined : component && own(component.slots, slot);
  if (slotMade && tab === 'values')
    return (
      <div className="sentence edge-instance" data-edge="instance">
        <span className="sentence-words">
          You are filling the slot <b>{slotMade.label}</b> of {describe(documents, doc.id, id)} on{' '}
          {documentWords(documents, doc.id)}.
        </span>
      </div>
    );
  const { inside } = selected;
  const rule = tab === 'style' ? writtenRule(selected, lit) : undefined;
  if (inside?.element && !rule)
    return (
      <div className="sentence edge-none" data-edge="inside">
        <span className="sentence-words">
          You are looking inside {describe(documents, doc.id, id)} on{' '}
          {documentWords(documents, doc.id)}, at{' '}
          <b>{innerWords(documents, inside.element, component?.id ?? '')}</b>. Nothing changes by
          it.
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
  const ruleDoc = rule?.origin.is === 'node' ? rule.origin.doc : undefined;
  const definition = docOf(documents, 'component', ruleDoc ?? doc.id);
  const isSeveral = selected.count > 1;
  const name = isSeveral ? namesOf(documents, doc, selected.all) : describe(documents, doc.id, id);
  const verb = tab === 'style' ? 'styling' : 'setting values of';
  let edge: Edge;
  let body: ReactNode;
  if (rule?.origin.is === 'part') {
    edge = doc.kind === 'component' ? 'definition' : 'instance';
    body = (
      <>
        You are styling <b>{partWords(documents, rule.origin)}</b> of{' '}
        {describe(documents, doc.id, id)}{' '}
        {definition
          ? `in the definition of ${componentWords(documents, doc.id)}: ${reachWords(reach.answer(doc.id))}.`
          : `on ${documentWords(documents, doc.id)} only.`}
      </>
    );
  } else if (rule?.origin.is === 'tag') {
    edge = 'plain';
    body = (
      <>
        You are styling <b>every {rule.origin.tag === EVERY_TAG ? 'element' : rule.origin.tag}</b>{' '}
        of the site: {words.whom(rule.origin)}.
      </>
    );
  } else if (rule?.origin.is === 'shared') {
    const style = docOf(documents, 'style', rule.origin.doc);
    edge = 'plain';
    body = (
      <>
        You are styling the shared style <b>{style?.name}</b>: {words.whom(rule.origin)}.
      </>
    );
  } else if (definition) {
    edge = 'definition';
    const whole = (selected.isRoot && !isSeveral) || (ruleDoc !== undefined && ruleDoc !== doc.id);
    const what = whole ? `all of ${componentWords(documents, definition.id)}` : name;
    body = (
      <>
        You are {tab === 'style' ? 'styling' : 'editing'} <b>{what}</b> in{' '}
        {whole ? 'its definition' : `the definition of ${componentWords(documents, definition.id)}`}
        : {reachWords(reach.answer(definition.id), rule && words.reach(rule.origin))}.
      </>
    );
  } else if (node.kind === 'instance') {
    edge = 'instance';
    const entries = doc.kind === 'page' && isPerEntry(doc) ? reach.publishedAt(doc.id) : 0;
    body = (
      <>
        You are {verb} <b>{name}</b> on {documentWords(documents, doc.id)}
        {entries > 0 ? `: all ${entries} of its pages.` : ' only.'}
      </>
    );
  } else {
    edge = 'plain';
    const pages = doc.kind === 'page' ? reach.publishedAt(doc.id) : 0;
    body = (
      <>
        You are {verb} <b>{name}</b>
        {isSeveral ? '' : node.kind === 'repeat' ? ', a repeat' : ', a plain element'} on{' '}
        {documentWords(documents, doc.id)}
        {pages === 1 ? ': this page only.' : `: ${count(pages, 'published page')}.`}
      </>
    );
  }
  const placed = component && doc.kind === 'page' && edge === 'instance' ? component : undefined;
  return (
    <div className={`sentence edge-${edge}`} data-edge={edge}>
      <span className="sentence-words">{body}</span>
      {placed ? (
        <Button
          size="small"
          type="text"
          className="to-definition"
          title={`The definition reaches ${reachWords(reach.answer(placed.id))}.`}
          onClick={() => dispatch(benchActions.openBeside(beside === placed.id ? null : placed.id))}
        >
          {beside === placed.id ? 'Close the definition' : 'Edit the definition'} <kbd>b</kbd>
        </Button>
      ) : edge === 'definition' ? (
        <span className="quiet">undo takes it all back</span>
      ) : null}
    </div>
  );
}
