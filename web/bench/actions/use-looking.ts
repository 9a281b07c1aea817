import { canBeExposed, controlsOf, topmost } from '@sormet/core/edit';
import { innerOf } from '../../canvas/inside';
import { exposureOf, useExposing } from '../../values/exposing';
import type { Selected } from '../../ledger/use-selected';
import { useDerived } from '../../site/SiteProvider';
import { benchActions } from '../../store/bench-slice';
import { useAppDispatch, useBench } from '../../store/store';
import type { BenchAction } from './bench-action';
import { useSingleKeys } from './use-single-keys';

/** What is done to look at what is selected more closely, and to let others set it. */
export function useLooking(
  selected: Selected | undefined,
  { onMakeComponent, onBeside }: { onMakeComponent: () => void; onBeside: () => void },
): readonly BenchAction[] {
  const { documents } = useDerived();
  const dispatch = useAppDispatch();
  const exposing = useExposing();
  const single = useSingleKeys();
  const { folded, tracing } = useBench('folded', 'tracing');
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
  const isElement = selected?.node.kind === 'element' || selected?.node.kind === 'instance';
  return [
    single(
      'make component',
      'component',
      'make component',
      onMakeComponent,
      isElement && !selected?.isRoot,
    ),
    single('beside', 'component', 'definition beside', onBeside, selected?.component !== undefined),
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
  ];
}
