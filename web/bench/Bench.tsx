import { useEffect, type ReactNode } from 'react';
import { useNavigate, useParams } from 'react-router';
import { Button, Empty } from 'antd';
import { docOf, rootOf, treeDocOf } from '@sormet/core/model';
import { useDerived, useSync } from '../site/SiteProvider';
import {
  benchActions,
  keepFolds,
  keepGuides,
  keepLayout,
  keepStrip,
  keepZoom,
} from '../store/bench-slice';
import { useAppDispatch, useBench } from '../store/store';
import { ContextMenu } from './actions/ContextMenu';
import { useInstances } from './actions/use-instances';
import { useMakeComponent } from './actions/MakeComponent';
import { useBenchActions } from './actions/use-bench-actions';
import { useBenchKeys } from './actions/use-bench-keys';
import { insideWords, whileInside } from './actions/while-inside';
import { useAddressed } from './address/use-addressed';
import { Bar } from './Bar';
import { Clashes } from './clip/Clashes';
import { useClip } from './clip/use-clip';
import { Dragging } from './Dragging';
import { FirstNotes } from './FirstNotes';
import { GoLine } from './go-line/GoLine';
import { Keys } from '../parts/Keys';
import { Ledger } from '../ledger/Ledger';
import { LedgerTabs } from '../ledger/LedgerTabs';
import { useWritingInto } from './variants/use-writing-into';
import { useVarying } from './variants/use-varying';
import { writtenRule } from '../ledger/style/lit-rule';

import { BesidePane } from './panes/BesidePane';
import { Columns } from './panes/Columns';
import { EarlierPane } from './panes/EarlierPane';
import { TryPane } from './try/TryPane';
import { LeftSide } from './panes/LeftSide';
import { OpenPane } from './panes/OpenPane';
import { SelectionSaid } from './SelectionSaid';
import { Sentence } from './Sentence';
import { Trace } from './trace/Trace';
import { useTitle } from '../parts/use-title';
import { useTakenBack } from './use-taken-back';
import { useEntries } from './use-entries';
import { useSelected, type Selected } from '../ledger/use-selected';
import { componentWords, documentWords } from '../words';
import type { PreviewedFrom } from '../store/previewed-from';
import './Bench.css';

/** The bench: outline and shelf, the page (and a definition beside it), the sentence and the ledger. */
export function Bench(): ReactNode {
  // Around all of it, and not drawn again with it: else everything that can be dragged would be, for every key.
  return (
    <Dragging>
      <WithinBench />
    </Dragging>
  );
}

function WithinBench(): ReactNode {
  const { doc: id = '' } = useParams();
  const { documents } = useDerived();
  const sync = useSync();
  const navigate = useNavigate();
  const dispatch = useAppDispatch();
  const {
    beside,
    earlier,
    trying,
    folded,
    guides,
    strip,
    zoom,
    layout,
    selection,
    tab,
    lit,
    tracing,
  } = useBench(
    'beside',
    'earlier',
    'trying',
    'folded',
    'guides',
    'strip',
    'zoom',
    'layout',
    'selection',
    'tab',
    'lit',
    'tracing',
  );
  const doc = treeDocOf(documents, id);
  const { entries, entry, onEntry } = useEntries(doc);
  const selected = useSelected(id, entry);
  const makeComponent = useMakeComponent(selected);
  const instances = useInstances(selected);
  const onBeside = useOpenBeside(selected);
  const onPreview = () =>
    void navigate(
      `/sites/${sync.site}/preview/${doc?.kind === 'page' ? doc.id : ''}${entry ? `?entry=${entry.id}` : ''}`,
      // Back from there everything is as it was.
      { state: { bench: window.location.search + window.location.hash } satisfies PreviewedFrom },
    );
  const other = beside ? docOf(documents, 'component', beside) : undefined;
  const definition = other?.id === id ? undefined : other;
  const outlined = definition && selection?.doc === definition.id ? definition : doc;
  const clip = useClip(outlined?.id ?? id, selected);
  const varying = useVarying(outlined?.id ?? id);
  const allActions = useBenchActions(outlined?.id ?? id, selected, {
    onEntry,
    onPreview,
    onMakeComponent: makeComponent.ask,
    clip: clip.actions,
    instances: [...instances.actions, varying.action],
    onBeside,
  });
  const actions = selected?.inside
    ? whileInside(allActions, () =>
        dispatch(
          benchActions.notice(insideWords(componentWords(documents, selected.component?.id ?? ''))),
        ),
      )
    : allActions;
  useBenchKeys(selected, actions);
  useEffect(() => keepFolds(folded), [folded]);
  useEffect(() => keepGuides(guides), [guides]);
  useEffect(() => keepStrip(strip), [strip]);
  useEffect(() => keepZoom(zoom), [zoom]);
  useEffect(() => keepLayout(layout), [layout]);
  useAddressed(id);
  useTakenBack(id);
  useWritingInto();
  useTitle(doc ? documentWords(documents, doc.id) : 'Gone', documents.site.name);

  if (!doc || !outlined)
    return (
      <Empty description="This page or component is not there any more." className="page-narrow">
        <Button onClick={() => void navigate(`/sites/${sync.site}`)}>To the pages</Button>
      </Empty>
    );
  const rule = selected && tab === 'style' ? writtenRule(selected, lit)?.origin : undefined;
  const written = rule && 'doc' in rule ? rule.doc : selection?.doc;
  const isLookingBack = earlier?.doc === outlined.id;
  const isEdited = definition !== undefined && written === definition.id;
  return (
    <div className="bench">
      <Bar doc={doc} entries={entries} entry={entry} onEntry={onEntry} onPreview={onPreview} />
      <FirstNotes />
      <Columns
        left={<LeftSide doc={outlined.id} isPage={outlined.kind === 'page'} />}
        open={<OpenPane doc={doc} entry={entry} />}
        beside={
          isLookingBack ? (
            <EarlierPane
              key={earlier.revision}
              earlier={earlier}
              entry={outlined.id === doc.id ? entry : undefined}
            />
          ) : trying ? (
            <TryPane key={doc.id + (entry?.id ?? '')} doc={doc} entry={entry} />
          ) : definition ? (
            <BesidePane definition={definition} />
          ) : null
        }
        edited={isLookingBack ? 'neither' : trying ? 'page' : isEdited ? 'definition' : 'page'}
        ledger={
          <div className={layout.ledger ? 'bench-ledger beside' : 'bench-ledger'}>
            <div className="ledger-line">
              <Sentence doc={outlined} selected={selected} />
              <LedgerTabs selected={selected} />
            </div>
            {folded.ledger ? null : (
              <div className="ledger-and-trace">
                <Ledger
                  doc={outlined}
                  entry={outlined.id === doc.id ? entry : undefined}
                  selected={selected}
                />
                {tracing ? <Trace page={doc.id} selected={selected?.inside ?? selected} /> : null}
              </div>
            )}
          </div>
        }
      />
      <GoLine doc={outlined.id} actions={actions} />
      <ContextMenu actions={actions} />
      <Keys />
      <SelectionSaid selected={selected} />
      {makeComponent.dialog}
      {varying.dialog}
      {instances.dialog}
      {clip.asking ? (
        <Clashes
          clip={clip.asking.clip}
          clashes={clip.asking.clashes}
          onDecide={clip.asking.decide}
          onClose={clip.asking.close}
        />
      ) : null}
    </div>
  );
}

/** Opens the definition of what is selected beside the page, or closes the one that is there. */
function useOpenBeside(selected: Selected | undefined): () => void {
  const dispatch = useAppDispatch();
  const { beside } = useBench('beside');
  return () => {
    const component = selected?.component;
    const isThere = beside !== null && (!component || beside === component.id);
    if (isThere) dispatch(benchActions.openBeside(null));
    else if (component) {
      dispatch(benchActions.openBeside(component.id));
      dispatch(benchActions.select({ doc: component.id, nodes: [rootOf(component.nodes)] }));
    } else
      dispatch(
        benchActions.notice('Select an instance first; its definition opens beside the page.'),
      );
  };
}
