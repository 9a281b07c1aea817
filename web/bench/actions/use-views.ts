import { widthsOf } from '@sormet/core/style';
import { useDerived } from '../../site/SiteProvider';
import { benchActions, type LedgerTab } from '../../store/bench-slice';
import { useAppDispatch, useBench } from '../../store/store';
import { useLayout } from '../panes/use-layout';
import type { BenchAction } from './bench-action';
import { useSingleKeys } from './use-single-keys';

/** What is seen at the bench, and how its parts stand: widths, entries, panes, tabs. */
export function useViews({
  onEntry,
  onPreview,
}: {
  onEntry: (step: number) => void;
  onPreview: () => void;
}): readonly BenchAction[] {
  const { documents } = useDerived();
  const dispatch = useAppDispatch();
  const single = useSingleKeys();
  const { width, folded, guides, trying } = useBench('width', 'folded', 'guides', 'trying');
  const layout = useLayout();
  const widths = widthsOf(documents.site);
  const stepWidth = (by: number) => {
    const next = widths[widths.findIndex(({ id }) => id === width) + by];
    if (next) dispatch(benchActions.setWidth(next.id));
  };
  /** From there Tab leads to its first value. */
  const intoLedger = (tab: LedgerTab) => {
    dispatch(benchActions.setTab(tab));
    if (folded.ledger) dispatch(benchActions.fold('ledger'));
    requestAnimationFrame(() =>
      document.querySelector<HTMLElement>('.ledger-body')?.focus({ preventScroll: true }),
    );
  };
  return [
    single('preview', 'the bench', 'preview', onPreview),
    single('try', 'the bench', trying ? 'try no more' : 'try it beside', () =>
      dispatch(benchActions.tryIt(!trying)),
    ),
    single('guides', 'the bench', guides ? 'hide the guides' : 'show the guides', () =>
      dispatch(benchActions.showGuides(!guides)),
    ),
    single('narrower', 'the bench', 'narrower', () => stepWidth(1)),
    single('wider', 'the bench', 'wider', () => stepWidth(-1)),
    single('entry before', 'the bench', 'entry before', () => onEntry(-1)),
    single('entry after', 'the bench', 'entry after', () => onEntry(1)),
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
    single('values', 'the bench', 'into the ledger of values', () => intoLedger('values')),
    single('style', 'the bench', 'into the ledger of styles', () => intoLedger('style')),
    single('acts', 'the bench', 'into the ledger of acts', () => intoLedger('acts')),
    single('history', 'the bench', 'history', () => dispatch(benchActions.setTab('history'))),
    single('keys', 'the bench', 'list the keys', () => dispatch(benchActions.showKeys(true))),
  ];
}
