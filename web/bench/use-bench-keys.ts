import { useHotkeys } from 'react-hotkeys-hook';
import { childrenOf, placeAt, rootOf, type TreeDoc } from '@sormet/core/model';
import { controlsOf } from '@sormet/core/edit';
import { widthsOf } from '@sormet/core/style';
import { useApp, useAppDispatch } from '../store/store';
import { useDerived, useSync } from '../site/SiteProvider';
import { benchActions } from '../store/bench-slice';
import { exposureOf, useExposing } from './ledger/exposing';
import { doneBy, keyFor, type SingleKey } from '../store/keymap';
import type { Selected } from './use-selected';

interface Handlers {
  readonly onEntry: (step: number) => void;
  readonly onPreview: () => void;
  readonly onMakeComponent: () => void;
  readonly onBeside: () => void;
}

/** Something the bench does: as the go line names it, with its key as it is shown, by the name of a single key. */
export interface BenchAction {
  readonly label: string;
  readonly key: string;
  readonly does?: SingleKey;
  readonly run: () => void;
}

/** What the keys of the bench do, by name, for the go line as well. */
export function useBenchActions(
  selected: Selected | undefined,
  handlers: Handlers,
): readonly BenchAction[] {
  const { documents } = useDerived();
  const sync = useSync();
  const dispatch = useAppDispatch();
  const exposing = useExposing();
  const { width, keymap, folded, tracing } = useApp((state) => state.bench);
  const widths = widthsOf(documents.site);
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
  const single = (does: SingleKey, label: string, run: () => void): BenchAction => ({
    label,
    does,
    key: keymap.on ? keyFor(keymap, does) : '',
    run,
  });
  return [
    { label: 'undo', key: 'Ctrl+Z', run: () => sync.undo() },
    { label: 'redo', key: 'Ctrl+Shift+Z', run: () => sync.redo() },
    single('make component', 'make component', handlers.onMakeComponent),
    single('beside', 'definition beside', handlers.onBeside),
    single('expose', 'expose', exposeSelected),
    single('trace', 'trace', () => {
      if (folded.ledger) dispatch(benchActions.fold('ledger'));
      dispatch(benchActions.showTrace(folded.ledger || !tracing));
    }),
    single('preview', 'preview', handlers.onPreview),
    single('narrower', 'narrower', () => stepWidth(1)),
    single('wider', 'wider', () => stepWidth(-1)),
    single('entry before', 'entry before', () => handlers.onEntry(-1)),
    single('entry after', 'entry after', () => handlers.onEntry(1)),
    single('fold left', 'fold outline and shelf', () => dispatch(benchActions.fold('left'))),
    single('fold ledger', 'fold ledger', () => dispatch(benchActions.fold('ledger'))),
    single('keys', 'list the keys', () => dispatch(benchActions.showKeys(true))),
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
  const { goLine, keys, keymap } = useApp((state) => state.bench);
  const enabled = !goLine && !keys;

  // Every key is heard here, and the keymap says which does what: the package splits lists of keys at commas.
  useHotkeys(
    '*',
    (event) => {
      if (event.ctrlKey || event.metaKey || event.altKey || isUnderDialog()) return;
      const does = doneBy(keymap, event.key);
      const run =
        does === 'go'
          ? () => dispatch(benchActions.showGoLine(true))
          : actions.find((action) => action.does !== undefined && action.does === does)?.run;
      if (!run) return;
      event.preventDefault();
      run();
    },
    // A radio of the interface takes no letters: after a click on a width the keys go on working.
    { enabled, enableOnFormTags: ['radio'] },
    [keymap, actions],
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
      // In the outline arrows go from row to row, and the selection with them.
      if (event.key !== 'Escape' && isIn(event.target, '[role="tree"]')) return;
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
      sync.edit(
        {
          name: 'move',
          args: {
            doc: selected.doc.id,
            node: selected.id,
            place: placeAt(without, parent!, to, slot),
          },
        },
        // One line of the history, however far it went; each key is a step of its own to undo.
        { group: `move ${selected.doc.id} ${selected.id} ${Date.now()}` },
      );
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
  return isIn(target, 'button, a, [role="dialog"], .shelf-item, .ant-select, table');
}

function isIn(target: EventTarget | null, selector: string): boolean {
  return target instanceof Element && target.closest(selector) !== null;
}

/** Whether a dialog lies over the bench; one that is on its way out does not. */
function isUnderDialog(): boolean {
  return [...document.querySelectorAll<HTMLElement>('.ant-modal-wrap')].some(
    (wrap) => wrap.style.display !== 'none' && !wrap.querySelector('[class*="-leave"]'),
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
