import { canBeExposed, controlsOf, topmost } from '@sormet/core/edit';
import { widthsOf } from '@sormet/core/style';
import { innerOf } from '../../canvas/inside';
import { useDerived, useSync } from '../../site/SiteProvider';
import { benchActions } from '../../store/bench-slice';
import { keyFor, type SingleKey } from '../../store/keymap';
import { useAppDispatch, useBench } from '../../store/store';
import { exposureOf, useExposing } from '../../ledger/exposing';
import { useLayout } from '../panes/use-layout';
import type { Selected } from '../../ledger/use-selected';
import type { BenchAction, Subject } from './bench-action';
import { useArranging } from './use-arranging';
import { useMoving } from './use-moving';
import { usePages } from './use-pages';
import { useRepeating } from './use-repeating';

interface Handlers {
  readonly onEntry: (step: number) => void;
  readonly onPreview: () => void;
  readonly onMakeComponent: () => void;
  readonly onBeside: () => void;
  /** What is done with instances, asked about before. */
  readonly instances: readonly BenchAction[];
  /** Copying and pasting, which asks before it does some things. */
  readonly clip: readonly BenchAction[];
}

/** Everything the bench does, for its keys, its menu and the go line. */
export function useBenchActions(
  doc: string,
  selected: Selected | undefined,
  handlers: Handlers,
): readonly BenchAction[] {
  const { documents } = useDerived();
  const sync = useSync();
  const dispatch = useAppDispatch();
  const exposing = useExposing();
  const moving = useMoving(selected);
  const arranging = useArranging(selected);
  const repeating = useRepeating(selected);
  const pages = usePages(doc);
  const { width, keymap, folded, tracing } = useBench('width', 'keymap', 'folded', 'tracing');
  const layout = useLayout();
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
    const rows = topmost(component.nodes, selected!.all)
      .flatMap((id) => controlsOf(documents, component, id))
      .filter(
        // How something looks is exposed by choosing it, not all at once.
        (row) =>
          canBeExposed(row) && row.control.of !== 'declaration' && row.control.of !== 'chosen',
      );
    if (rows.length === 0) dispatch(benchActions.notice('Everything on this is exposed already.'));
    else exposing.expose(component, rows.map(exposureOf));
  };
  const lookInside = () => {
    if (!selected?.component || !selected.resolved) {
      dispatch(
        benchActions.notice(
          selected?.component
            ? 'It is not shown now, so there is nothing to look at.'
            : 'Select an instance first; what stands in it is shown without changing it.',
        ),
      );
      return;
    }
    const { doc, id, resolved, inside } = selected;
    const [first] = inside ? [] : innerOf(resolved, doc.id);
    if (folded.ledger && first) dispatch(benchActions.fold('ledger'));
    dispatch(
      benchActions.select({
        doc: doc.id,
        nodes: [id],
        ...(first ? { inside: first.address } : {}),
      }),
    );
  };
  const trace = () => {
    if (folded.ledger) dispatch(benchActions.fold('ledger'));
    dispatch(benchActions.showTrace(folded.ledger || !tracing));
  };
  const single = (
    does: SingleKey,
    about: Subject,
    label: string,
    run: () => void,
    offered = false,
  ): BenchAction => ({
    label,
    about,
    does,
    key: keymap.on ? keyFor(keymap, does) : '',
    offered,
    run,
  });
  const isElement = selected?.node.kind === 'element' || selected?.node.kind === 'instance';
  return [
    {
      label: 'type into its text',
      about: 'what is selected',
      key: 'Enter',
      keys: ['Enter'],
      offered: isElement,
      run: () => {
        if (selected) dispatch(benchActions.typeInto({ doc: selected.doc.id, node: selected.id }));
      },
    },
    ...handlers.clip,
    ...handlers.instances,
    ...moving,
    ...arranging,
    ...repeating,
    single(
      'make component',
      'component',
      'make component',
      handlers.onMakeComponent,
      isElement && !selected?.isRoot,
    ),
    single(
      'beside',
      'component',
      'definition beside',
      handlers.onBeside,
      selected?.component !== undefined,
    ),
    single(
      'inside',
      'component',
      selected?.inside ? 'back out of it' : 'look inside',
      lookInside,
      selected?.component !== undefined,
    ),
    single('expose', 'component', 'expose', exposeSelected, selected?.doc.kind === 'component'),
    single('trace', 'what is selected', 'trace', trace, isElement),
    single(
      'declare',
      'what is selected',
      'declare',
      () => dispatch(benchActions.askDeclare()),
      isElement,
    ),
    single(
      'zoom',
      'what is selected',
      'zoom to it, and back',
      () => dispatch(benchActions.askZoom()),
      isElement,
    ),
    { label: 'undo', about: 'the bench', key: 'Ctrl+Z', keys: ['mod+z'], run: () => sync.undo() },
    {
      label: 'redo',
      about: 'the bench',
      key: 'Ctrl+Shift+Z',
      keys: ['mod+shift+z'],
      run: () => sync.redo(),
    },
    ...pages,
    single('preview', 'the bench', 'preview', handlers.onPreview),
    single('narrower', 'the bench', 'narrower', () => stepWidth(1)),
    single('wider', 'the bench', 'wider', () => stepWidth(-1)),
    single('entry before', 'the bench', 'entry before', () => handlers.onEntry(-1)),
    single('entry after', 'the bench', 'entry after', () => handlers.onEntry(1)),
    single('fold left', 'the bench', 'fold outline and shelf', () =>
      dispatch(benchActions.fold('left')),
    ),
    single('fold ledger', 'the bench', 'fold ledger', () => dispatch(benchActions.fold('ledger'))),
    {
      label: 'outline and shelf side by side, or above each other',
      about: 'the bench',
      key: '',
      run: () => dispatch(benchActions.layOut({ left: !layout.left })),
    },
    {
      label: 'ledger beside the page, or below',
      about: 'the bench',
      key: '',
      run: () => dispatch(benchActions.layOut({ ledger: !layout.ledger })),
    },
    single('values', 'the bench', 'ledger of values', () =>
      dispatch(benchActions.setTab('values')),
    ),
    single('style', 'the bench', 'ledger of styles', () => dispatch(benchActions.setTab('style'))),
    single('history', 'the bench', 'history', () => dispatch(benchActions.setTab('history'))),
    single('keys', 'the bench', 'list the keys', () => dispatch(benchActions.showKeys(true))),
  ];
}
