import { useHotkeys } from 'react-hotkeys-hook';
import { childrenOf, placeAt, rootOf, siteOf, type TreeDoc } from '@sormet/core/model';
import { controlsOf } from '@sormet/core/edit';
import { widthsOf } from '@sormet/core/style';
import { useApp, useAppDispatch } from '../app/store';
import { useDerived, useSync } from '../site/SiteProvider';
import { benchActions } from './bench-slice';
import { exposureOf, useExposing } from './ledger/exposing';
import type { Selected } from './use-selected';

interface Handlers {
  readonly onEntry: (step: number) => void;
  readonly onPreview: () => void;
  readonly onMakeComponent: () => void;
  readonly onBeside: () => void;
}

/** What the keys of the bench do, by name, for the go line as well. */
export function useBenchActions(
  selected: Selected | undefined,
  handlers: Handlers,
): readonly { label: string; key: string; run: () => void }[] {
  const { documents } = useDerived();
  const sync = useSync();
  const dispatch = useAppDispatch();
  const exposing = useExposing();
  const width = useApp((state) => state.bench.width);
  const widths = widthsOf(siteOf(documents));
  const stepWidth = (by: number) => {
    const next = widths[widths.findIndex(({ id }) => id === width) + by];
    if (next) dispatch(benchActions.setWidth(next.id));
  };
  const exposeSelected = () => {
    const component = selected?.doc.kind === 'component' ? selected.doc : undefined;
    if (!component) {
      dispatch(
        benchActions.notice(
          'Controls are exposed in a definition: open it with b and select something in it.',
        ),
      );
      return;
    }
    const rows = controlsOf(documents, component, selected!.id).filter(
      ({ source }) => source?.is !== 'property',
    );
    if (rows.length === 0) dispatch(benchActions.notice('Everything on this is exposed already.'));
    else exposing.expose(component, rows.map(exposureOf));
  };
  return [
    { label: 'undo', key: 'mod+z', run: () => sync.undo() },
    { label: 'redo', key: 'mod+shift+z', run: () => sync.redo() },
    { label: 'make component', key: 'm', run: handlers.onMakeComponent },
    { label: 'definition beside', key: 'b', run: handlers.onBeside },
    { label: 'expose', key: 'e', run: exposeSelected },
    { label: 'trace', key: 'x', run: () => dispatch(benchActions.showTrace(true)) },
    { label: 'preview', key: 'p', run: handlers.onPreview },
    { label: 'narrower', key: ',', run: () => stepWidth(1) },
    { label: 'wider', key: '.', run: () => stepWidth(-1) },
    { label: 'entry before', key: '[', run: () => handlers.onEntry(-1) },
    { label: 'entry after', key: ']', run: () => handlers.onEntry(1) },
    { label: 'fold outline and shelf', key: 'o', run: () => dispatch(benchActions.fold('left')) },
    { label: 'fold ledger', key: 'l', run: () => dispatch(benchActions.fold('ledger')) },
    { label: 'list the keys', key: '?', run: () => dispatch(benchActions.showKeys(true)) },
  ];
}

/** Binds the keys: single keys when no field has the focus and nothing lies over the bench. */
export function useBenchKeys(
  selected: Selected | undefined,
  actions: ReturnType<typeof useBenchActions>,
): void {
  const { documents } = useDerived();
  const sync = useSync();
  const dispatch = useAppDispatch();
  const { goLine, keys, tracing } = useApp((state) => state.bench);
  const enabled = !goLine && !keys && !tracing;
  const byKey = (key: string) => actions.find((action) => action.key === key)?.run;

  useHotkeys(
    ['g', 'b', 'm', 'e', 'x', 'p', 'o', 'l', ',', '.', '[', ']', '?'],
    (event) => {
      if (
        event.ctrlKey ||
        event.metaKey ||
        event.altKey ||
        document.querySelector('.ant-modal-wrap:not([style*="display: none"])')
      )
        return;
      const run =
        event.key === 'g' ? () => dispatch(benchActions.showGoLine(true)) : byKey(event.key);
      if (!run) return;
      event.preventDefault();
      run();
    },
    { enabled, useKey: true, splitKey: '§' },
  );
  useHotkeys(
    'mod+z',
    (event) => {
      event.preventDefault();
      sync.undo();
    },
    { enabled },
  );
  useHotkeys(
    'mod+shift+z',
    (event) => {
      event.preventDefault();
      sync.redo();
    },
    { enabled },
  );

  const select = (node: string | undefined) => {
    if (selected && node !== undefined)
      dispatch(benchActions.select({ doc: selected.doc.id, nodes: [node] }));
  };
  useHotkeys(
    ['ArrowUp', 'ArrowDown', 'ArrowLeft', 'ArrowRight', 'Escape'],
    (event) => {
      if (!selected || event.altKey || isWidget(event.target)) return;
      event.preventDefault();
      select(neighbour(selected.doc, selected.id, event.key));
    },
    { enabled },
    [selected, documents],
  );
  useHotkeys(
    ['alt+ArrowUp', 'alt+ArrowDown'],
    (event) => {
      if (!selected || selected.isRoot) return;
      event.preventDefault();
      const { nodes } = selected.doc;
      const { parent, slot } = nodes[selected.id]!.place;
      const siblings = childrenOf(nodes).of(parent!, slot);
      const to = siblings.indexOf(selected.id) + (event.key === 'ArrowUp' ? -1 : 1);
      if (to < 0 || to >= siblings.length) return;
      const without = { ...nodes };
      delete without[selected.id];
      sync.edit({
        name: 'move',
        args: {
          doc: selected.doc.id,
          node: selected.id,
          place: placeAt(without, parent!, to, slot),
        },
      });
    },
    { enabled },
    [selected],
  );
  useHotkeys(
    'Enter',
    (event) => {
      if (!selected || isWidget(event.target)) return;
      event.preventDefault();
      dispatch(benchActions.typeInto({ doc: selected.doc.id, node: selected.id }));
    },
    { enabled },
    [selected],
  );
  useHotkeys(
    ['Delete', 'Backspace'],
    (event) => {
      if (!selected || isWidget(event.target)) return;
      event.preventDefault();
      if (selected.isRoot) {
        dispatch(
          benchActions.notice(
            selected.doc.kind === 'page'
              ? 'The surround stands around every page; it cannot be removed from one.'
              : 'The root of a definition cannot be removed.',
          ),
        );
        return;
      }
      for (const node of selected.all)
        sync.edit({ name: 'remove', args: { doc: selected.doc.id, node } });
      dispatch(benchActions.select(null));
    },
    { enabled },
    [selected],
  );
}

/** Whether a key belongs to a control of the interface rather than to what is selected. */
function isWidget(target: EventTarget | null): boolean {
  return (
    target instanceof Element &&
    target.closest('button, a, [role="dialog"], .shelf-item, .ant-select, table') !== null
  );
}

/** The node that an arrow key leads to. */
function neighbour(doc: TreeDoc, id: string, key: string): string | undefined {
  const { nodes } = doc;
  const { parent, slot } = nodes[id]!.place;
  if (key === 'ArrowLeft' || key === 'Escape') return parent ?? undefined;
  if (key === 'ArrowRight')
    return childrenOf(nodes)
      .all(id)
      .find((child) => nodes[child]!.kind !== 'text');
  if (parent === null) return rootOf(nodes);
  const siblings = childrenOf(nodes).of(parent, slot);
  return siblings[siblings.indexOf(id) + (key === 'ArrowUp' ? -1 : 1)];
}
