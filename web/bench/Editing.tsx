import type { ReactNode } from 'react';
import { Button } from 'antd';
import {
  docOf,
  EVERY_TAG,
  isPerEntry,
  own,
  type ComponentDoc,
  type Documents,
} from '@sormet/core/model';
import { optionsInUse, reachOfOptions, type Reach } from '@sormet/core/reach';
import type { Picks } from '@sormet/core/resolve';
import type { AppliedBlock } from '@sormet/core/style';
import { describe } from '../canvas/address';
import { picksWords } from '../ledger/style/picked';
import { partWords, useRuleWords, type RuleWords } from '../ledger/style/rule-words';
import type { Selected } from '../ledger/use-selected';
import { useDerived } from '../site/SiteProvider';
import { benchActions } from '../store/bench-slice';
import { useAppDispatch, useBench } from '../store/store';
import { Picking } from './variants/Picking';
import {
  componentWords,
  count,
  documentWords,
  namesOf,
  optionReachWords,
  reachWords,
} from '../words';

type Edge = 'definition' | 'instance' | 'plain';

/** What the sentence goes by. */
interface Said {
  readonly documents: Documents;
  readonly reach: Reach;
  readonly words: RuleWords;
  readonly selected: Selected;
  readonly isStyling: boolean;
}

/** What somebody edits by typing now, and whom that reaches. */
export function Editing({
  selected,
  rule,
}: {
  selected: Selected;
  /** The rule that typing goes to, where it is a look that is edited. */
  rule: AppliedBlock | undefined;
}): ReactNode {
  const { documents, reach } = useDerived();
  const { tab } = useBench('tab');
  const words = useRuleWords(selected.inside ?? selected);
  const said = { documents, reach, words, selected, isStyling: tab === 'style' };
  const { edge, body } =
    rule && isElsewhere(rule.origin) ? ofRule(said, rule.origin) : here(said, rule);
  const { component, doc } = selected;
  const placed = component && doc.kind === 'page' && edge === 'instance' ? component : undefined;
  return (
    <div className={`sentence edge-${edge}`} data-edge={edge}>
      <span className="sentence-words">{body}</span>
      {tab === 'values' && !selected.inside ? <Picking selected={selected} /> : null}
      {placed ? (
        <ToDefinition component={placed} />
      ) : edge === 'definition' ? (
        <span className="quiet">undo takes it all back</span>
      ) : null}
    </div>
  );
}

type Origin = AppliedBlock['origin'];
type Elsewhere = Extract<Origin, { is: 'part' | 'tag' | 'shared' }>;

function isElsewhere(origin: Origin): origin is Elsewhere {
  return origin.is === 'part' || origin.is === 'tag' || origin.is === 'shared';
}

/** Of a rule that belongs to no node that is selected. */
function ofRule(
  { documents, reach, words, selected: { doc, id } }: Said,
  origin: Elsewhere,
): { edge: Edge; body: ReactNode } {
  if (origin.is === 'part') {
    const isDefinition = doc.kind === 'component';
    return {
      edge: isDefinition ? 'definition' : 'instance',
      body: (
        <>
          You are styling <b>{partWords(documents, origin)}</b> of {describe(documents, doc.id, id)}{' '}
          {isDefinition
            ? `in the definition of ${componentWords(documents, doc.id)}: ${reachWords(reach.answer(doc.id))}.`
            : `on ${documentWords(documents, doc.id)} only.`}
        </>
      ),
    };
  }
  const what =
    origin.is === 'tag' ? (
      <>
        <b>every {origin.tag === EVERY_TAG ? 'element' : origin.tag}</b> of the site
      </>
    ) : (
      <>
        the shared style <b>{docOf(documents, 'style', origin.doc)?.name}</b>
      </>
    );
  return {
    edge: 'plain',
    body: (
      <>
        You are styling {what}: {words.whom(origin)}.
      </>
    ),
  };
}

/** Of what is selected itself. */
function here(said: Said, rule: AppliedBlock | undefined): { edge: Edge; body: ReactNode } {
  const { documents, reach, words, selected, isStyling } = said;
  const { doc, id, node } = selected;
  const isOfNode = rule?.origin.is === 'node' || rule?.origin.is === 'rule';
  const ruleDoc = isOfNode ? rule.origin.doc : undefined;
  const definition = docOf(documents, 'component', ruleDoc ?? doc.id);
  const isSeveral = selected.count > 1;
  const name = isSeveral ? namesOf(documents, doc, selected.all) : describe(documents, doc.id, id);
  if (definition) {
    const isAll = (selected.isRoot && !isSeveral) || (ruleDoc !== undefined && ruleDoc !== doc.id);
    const component = componentWords(documents, definition.id);
    const onlyAxes = rule
      ? onlyWhen(definition, rule.origin, selected.picked)
      : selected.picked?.axes;
    const only = onlyAxes && picksWords(definition, onlyAxes);
    const variants =
      only !== undefined ? (
        <>
          , only <b>{only}</b>,
        </>
      ) : // Another rule was lit than that of the variant.
      selected.picked ? (
        ', in all its variants,'
      ) : null;
    return {
      edge: 'definition',
      body: (
        <>
          You are {isStyling ? 'styling' : 'editing'} <b>{isAll ? `all of ${component}` : name}</b>
          {variants} in {isAll ? 'its definition' : `the definition of ${component}`}:{' '}
          {only === undefined
            ? reachWords(reach.answer(definition.id), rule && words.reach(rule.origin))
            : optionReachWords(
                reachOfOptions(reach, optionsInUse(documents, reach, definition), onlyAxes!),
                reach.answer(definition.id),
              )}
          .
        </>
      ),
    };
  }
  const verb = isStyling ? 'styling' : 'setting values of';
  const published = doc.kind === 'page' ? reach.publishedAt(doc.id) : 0;
  if (node.kind === 'instance') {
    const entries = doc.kind === 'page' && isPerEntry(doc) ? published : 0;
    return {
      edge: 'instance',
      body: (
        <>
          You are {verb} <b>{name}</b> on {documentWords(documents, doc.id)}
          {entries > 0 ? `: all ${entries} of its pages.` : ' only.'}
        </>
      ),
    };
  }
  return {
    edge: 'plain',
    body: (
      <>
        You are {verb} <b>{name}</b>
        {isSeveral ? '' : node.kind === 'repeat' ? ', a repeat' : ', a plain element'} on{' '}
        {documentWords(documents, doc.id)}
        {published === 1 ? ': this page only.' : `: ${count(published, 'published page')}.`}
      </>
    ),
  };
}

/** The options that a rule of a definition is for; nothing for what holds in all variants. */
function onlyWhen(
  definition: ComponentDoc,
  origin: Origin,
  picked: Selected['picked'],
): Picks | undefined {
  if (origin.is !== 'rule') return undefined;
  const axes =
    picked?.rule === origin.rule ? picked.axes : own(definition.rules, origin.rule)?.when.axes;
  return axes && Object.keys(axes).length > 0 ? axes : undefined;
}

/** The way from an instance to its definition beside it, and back. */
function ToDefinition({ component: { id } }: { component: ComponentDoc }): ReactNode {
  const { reach } = useDerived();
  const dispatch = useAppDispatch();
  const { beside } = useBench('beside');
  return (
    <Button
      size="small"
      type="text"
      className="to-definition"
      title={`The definition reaches ${reachWords(reach.answer(id))}.`}
      onClick={() => dispatch(benchActions.openBeside(beside === id ? null : id))}
    >
      {beside === id ? 'Close the definition' : 'Edit the definition'} <kbd>b</kbd>
    </Button>
  );
}
