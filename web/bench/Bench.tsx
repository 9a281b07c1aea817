import { useCallback, useEffect, useMemo, useState, type ReactNode } from 'react';
import { useNavigate, useParams, useSearchParams } from 'react-router';
import {
  DndContext,
  DragOverlay,
  PointerSensor,
  useSensor,
  useSensors,
  type DragStartEvent,
} from '@dnd-kit/core';
import { Button, Empty, Input, Modal } from 'antd';
import { X } from 'lucide-react';
import { Group, Panel, Separator, useDefaultLayout } from 'react-resizable-panels';
import { allOf, docOf, newId, rootOf, treeDocOf, type EntryDoc } from '@sormet/core/model';
import { nodeName, shortName, STARTERS } from '@sormet/core/edit';
import { useApp, useAppDispatch } from '../store/store';
import { Canvas } from '../canvas/Canvas';
import { useDerived, useSync } from '../site/SiteProvider';
import { Bar } from './Bar';
import { benchActions } from '../store/bench-slice';
import { GoLine } from './GoLine';
import { Keys } from './Keys';
import { Ledger } from './ledger/Ledger';
import { Outline } from './Outline';
import type { Placeable } from '../canvas/placing';
import { Sentence } from './Sentence';
import { Shelf } from './Shelf';
import { Trace } from './Trace';
import { useBenchActions, useBenchKeys } from './use-bench-keys';
import { useSelected } from './use-selected';
import { count, shortReach } from './words';

/** The bench: outline and shelf, the page (and a definition beside it), the sentence and the ledger. */
export function Bench(): ReactNode {
  const { doc: id = '' } = useParams();
  const { documents, reach } = useDerived();
  const sync = useSync();
  const navigate = useNavigate();
  const dispatch = useAppDispatch();
  const [search, setSearch] = useSearchParams();
  const { beside, folded, selection } = useApp((state) => state.bench);
  const doc = treeDocOf(documents, id);
  const entries = useMemo(
    () =>
      doc?.kind === 'page' && doc.entries
        ? sortedEntries(allOf(documents, 'entry').filter(({ type }) => type === doc.entries))
        : [],
    [documents, doc],
  );
  const entry = entries.find(({ id: each }) => each === search.get('entry')) ?? entries[0];
  const selected = useSelected(id, entry);
  const [naming, setNaming] = useState<string | null>(null);
  const [dragging, setDragging] = useState<string | null>(null);
  const [scale, setScale] = useState(1);

  useEffect(() => {
    dispatch(benchActions.leave());
  }, [id, dispatch]);

  const onEntry = useCallback(
    (step: number) => {
      if (!entry) return;
      const next = entries[(entries.indexOf(entry) + step + entries.length) % entries.length]!;
      setSearch({ entry: next.id }, { replace: true });
    },
    [entries, entry, setSearch],
  );
  const onPreview = () =>
    void navigate(
      `/sites/${sync.site}/preview/${doc?.kind === 'page' ? doc.id : ''}${entry ? `?entry=${entry.id}` : ''}`,
    );
  const onMakeComponent = () => {
    if (
      !selected ||
      selected.isRoot ||
      (selected.node.kind !== 'element' && selected.node.kind !== 'instance')
    ) {
      dispatch(
        benchActions.notice(
          'Select an element or an instance first; it becomes a component with all it holds.',
        ),
      );
      return;
    }
    setNaming(`Sections/${nodeName(documents, selected.node)}`);
  };
  const onBeside = () => {
    if (beside) dispatch(benchActions.openBeside(null));
    else if (selected?.component) {
      dispatch(benchActions.openBeside(selected.component.id));
      dispatch(
        benchActions.select({
          doc: selected.component.id,
          nodes: [rootOf(selected.component.nodes)],
        }),
      );
    } else
      dispatch(
        benchActions.notice('Select an instance first; its definition opens beside the page.'),
      );
  };
  const actions = useBenchActions(selected, { onEntry, onPreview, onMakeComponent, onBeside });
  useBenchKeys(selected, actions);
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 5 } }));
  const columns = useDefaultLayout({ id: 'sormet.bench.columns', storage: localStorage });
  const rows = useDefaultLayout({ id: 'sormet.bench.rows', storage: localStorage });
  const canvases = useDefaultLayout({ id: 'sormet.bench.canvases', storage: localStorage });

  if (!doc)
    return (
      <Empty description="This page or component is not there any more." className="page-narrow">
        <Button onClick={() => void navigate(`/sites/${sync.site}`)}>To the pages</Button>
      </Empty>
    );
  const definition = beside ? docOf(documents, 'component', beside) : undefined;
  const outlined = selection?.doc === definition?.id && definition ? definition.id : doc.id;
  const makeComponent = (name: string) => {
    if (!selected) return;
    const component = newId();
    const instance = newId();
    const ids = Array.from({ length: 40 }, newId);
    const done = sync.edit({
      name: 'makeComponent',
      args: { doc: selected.doc.id, node: selected.id, name, component, instance, ids },
    });
    if (!done) return;
    setNaming(null);
    dispatch(benchActions.select({ doc: selected.doc.id, nodes: [instance] }));
    dispatch(benchActions.openBeside(component));
  };

  return (
    <DndContext
      sensors={sensors}
      onDragStart={({ active }: DragStartEvent) =>
        setDragging(placeableName(documents, active.data.current as Placeable))
      }
      onDragEnd={() => setDragging(null)}
      onDragCancel={() => setDragging(null)}
    >
      <div className="bench">
        <Bar doc={doc} entries={entries} entry={entry} onEntry={onEntry} onPreview={onPreview} />
        <Group
          orientation="horizontal"
          className="bench-columns"
          defaultLayout={columns.defaultLayout}
          onLayoutChanged={columns.onLayoutChanged}
        >
          {folded.left ? null : (
            <>
              <Panel
                id="left"
                defaultSize={216}
                minSize={160}
                maxSize={420}
                groupResizeBehavior="preserve-pixel-size"
              >
                <Group orientation="vertical">
                  <Panel id="outline" defaultSize="45%" minSize={80}>
                    <div className="left-part">
                      <h2>
                        Outline{' '}
                        <span>
                          {outlined === doc.id && doc.kind === 'page' ? 'page' : 'definition'}
                        </span>
                      </h2>
                      <Outline doc={outlined} />
                    </div>
                  </Panel>
                  <Separator className="divider flat" />
                  <Panel id="shelf" minSize={80}>
                    <div className="left-part">
                      <h2>Shelf</h2>
                      <Shelf doc={outlined} />
                    </div>
                  </Panel>
                </Group>
              </Panel>
              <Separator className="divider" />
            </>
          )}
          <Panel id="middle" minSize={320}>
            <Group
              orientation="vertical"
              defaultLayout={rows.defaultLayout}
              onLayoutChanged={rows.onLayoutChanged}
            >
              <Panel id="canvases" minSize={120}>
                <Group
                  orientation="horizontal"
                  className="canvases"
                  defaultLayout={canvases.defaultLayout}
                  onLayoutChanged={canvases.onLayoutChanged}
                >
                  <Panel id="page" minSize={240}>
                    <div
                      className={`pane ${doc.kind === 'page' ? 'pane-page' : 'pane-definition'}`}
                    >
                      <div className="pane-head">
                        <span>
                          {doc.kind === 'page' ? 'Page' : `Definition of ${shortName(doc.name)}`}
                        </span>
                        <span className="quiet">
                          {doc.kind === 'component' ? `${shortReach(reach.answer(doc.id))} · ` : ''}
                          {Math.round(scale * 100)} %
                        </span>
                      </div>
                      <Canvas
                        key={doc.id}
                        doc={doc.id}
                        entry={entry}
                        kind={doc.kind === 'page' ? 'page' : 'definition'}
                        onScale={setScale}
                      />
                    </div>
                  </Panel>
                  {definition && definition.id !== doc.id ? (
                    <>
                      <Separator className="divider" />
                      <Panel id="definition" defaultSize="38%" minSize={220}>
                        <div className="pane pane-definition">
                          <div className="pane-head">
                            <span>Definition of {shortName(definition.name)}</span>
                            <span className="quiet">{shortReach(reach.answer(definition.id))}</span>
                            <Button
                              size="small"
                              type="text"
                              aria-label="Close the definition"
                              icon={<X size={14} />}
                              onClick={() => dispatch(benchActions.openBeside(null))}
                            />
                          </div>
                          <Canvas
                            key={definition.id}
                            doc={definition.id}
                            entry={undefined}
                            kind="definition"
                          />
                          <div className="pane-foot">
                            <span>
                              {count(Object.keys(definition.properties).length, 'control')} exposed
                            </span>
                            <button
                              type="button"
                              className="as-link"
                              onClick={() =>
                                dispatch(
                                  benchActions.select({
                                    doc: definition.id,
                                    nodes: [rootOf(definition.nodes)],
                                  }),
                                )
                              }
                            >
                              select its root
                            </button>
                          </div>
                        </div>
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
                <div className="bench-ledger">
                  <Sentence selected={selected} />
                  {folded.ledger ? null : <Ledger selected={selected} />}
                </div>
              </Panel>
            </Group>
          </Panel>
        </Group>
        <GoLine doc={outlined} actions={actions} />
        <Keys />
        <Trace selected={selected} />
        <MakeComponent name={naming} onName={setNaming} onMake={makeComponent} />
      </div>
      <DragOverlay dropAnimation={null}>
        {dragging ? <div className="drag-chip">{dragging}</div> : null}
      </DragOverlay>
    </DndContext>
  );
}

function MakeComponent({
  name,
  onName,
  onMake,
}: {
  name: string | null;
  onName: (name: string | null) => void;
  onMake: (name: string) => void;
}): ReactNode {
  const refusal = useApp((state) => state.site.refusal);
  const typed = (name ?? '').trim();
  const sound = /^[^/]+(\/[^/]+)*$/.test(typed);
  return (
    <Modal
      open={name !== null}
      title="Make component"
      okText="Make component"
      cancelText="Leave it"
      okButtonProps={{ disabled: !sound }}
      onOk={() => onMake(typed)}
      onCancel={() => onName(null)}
      destroyOnHidden
    >
      <p>What is selected becomes its first instance. A folder stands before a slash.</p>
      <Input
        autoFocus
        aria-label="Name of the component"
        value={name ?? ''}
        onChange={({ target }) => onName(target.value)}
        onPressEnter={() => sound && onMake(typed)}
      />
      {refusal ? (
        <p className="cell-error" role="alert">
          {refusal.says}
        </p>
      ) : null}
    </Modal>
  );
}

function sortedEntries(entries: EntryDoc[]): EntryDoc[] {
  return entries.sort((a, b) => (a.slug < b.slug ? -1 : 1));
}

function placeableName(
  documents: ReturnType<typeof useDerived>['documents'],
  placeable: Placeable,
): string {
  if (placeable.is === 'starter')
    return STARTERS.find(({ key }) => key === placeable.key)?.label ?? '';
  const component = docOf(documents, 'component', placeable.id);
  return component ? shortName(component.name) : '';
}
