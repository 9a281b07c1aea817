import { useSync } from '../../site/SiteProvider';
import { benchActions } from '../../store/bench-slice';
import { useAppDispatch } from '../../store/store';
import type { Selected } from '../../ledger/use-selected';
import type { BenchAction } from './bench-action';
import { useArranging } from './use-arranging';
import { useVeils } from './use-veils';
import { useLooking } from './use-looking';
import { useMoving } from './use-moving';
import { usePages } from './use-pages';
import { useRepeating } from './use-repeating';
import { useViews } from './use-views';

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

/** Everything the bench does, for its keys, its menu and the go line: in the order in which it is offered. */
export function useBenchActions(
  doc: string,
  selected: Selected | undefined,
  handlers: Handlers,
): readonly BenchAction[] {
  const sync = useSync();
  const dispatch = useAppDispatch();
  const moving = useMoving(selected);
  const arranging = [...useArranging(selected), ...useVeils(selected)];
  const repeating = useRepeating(selected);
  const looking = useLooking(selected, handlers);
  const pages = usePages(doc);
  const views = useViews(handlers);
  return [
    {
      label: 'type into its text',
      about: 'what is selected',
      key: 'Enter',
      keys: ['Enter'],
      offered: selected?.node.kind === 'element' || selected?.node.kind === 'instance',
      run: () => {
        if (selected) dispatch(benchActions.typeInto({ doc: selected.doc.id, node: selected.id }));
      },
    },
    ...handlers.clip,
    ...handlers.instances,
    ...moving,
    ...arranging,
    ...repeating,
    ...looking,
    { label: 'undo', about: 'the bench', key: 'Ctrl+Z', keys: ['mod+z'], run: () => sync.undo() },
    {
      label: 'redo',
      about: 'the bench',
      key: 'Ctrl+Shift+Z',
      keys: ['mod+shift+z'],
      run: () => sync.redo(),
    },
    ...pages,
    ...views,
  ];
}
