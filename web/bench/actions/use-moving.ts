import { stepMoves, topmost, type Step } from '@sormet/core/edit';
import { childrenOf, rootOf } from '@sormet/core/model';
import { useDerived, useSync } from '../../site/SiteProvider';
import { stepOf } from '../../site/step-of';
import { benchActions } from '../../store/bench-slice';
import { useAppDispatch, useBench } from '../../store/store';
import type { Selected } from '../../ledger/use-selected';
import type { BenchAction } from './bench-action';

const STEPS: readonly { step: Step; label: string; key: string; arrow: string; none: string }[] = [
  {
    step: 'before',
    label: 'move before its neighbour',
    key: 'Alt+Up',
    arrow: 'alt+ArrowUp',
    none: 'It is the first already.',
  },
  {
    step: 'behind',
    label: 'move behind its neighbour',
    key: 'Alt+Down',
    arrow: 'alt+ArrowDown',
    none: 'It is the last already.',
  },
  {
    step: 'out',
    label: 'move out of what is around',
    key: 'Alt+Left',
    arrow: 'alt+ArrowLeft',
    none: 'What is around it is the root: nothing stands beside that.',
  },
  {
    step: 'in',
    label: 'move into what stands before',
    key: 'Alt+Right',
    arrow: 'alt+ArrowRight',
    none: 'Nothing stands before it that could hold it.',
  },
];

/** Moving what is selected in the tree, all of it together, and taking it away. */
export function useMoving(selected: Selected | undefined): readonly BenchAction[] {
  const { documents } = useDerived();
  const sync = useSync();
  const dispatch = useAppDispatch();
  const { folded } = useBench('folded');
  const say = (words: string) => dispatch(benchActions.notice(words));
  const move = (step: Step, none: string) => {
    if (!selected) return;
    const { doc, all, isRoot } = selected;
    if (isRoot) {
      say('The root of a document stays where it is.');
      return;
    }
    const moves = stepMoves(documents, doc.nodes, all, step);
    if (!moves) {
      say(all.length > 1 ? 'They do not stand beside each other, or cannot go further.' : none);
      return;
    }
    // One line of the history, however far it went; each key is a step of its own to undo.
    const group = stepOf(`move ${doc.id} ${all.join(' ')}`);
    sync.edit({ name: 'move', args: { doc: doc.id, moves } }, { group });
  };
  const remove = () => {
    if (!selected) return;
    const { doc, all, isRoot } = selected;
    if (isRoot) {
      say(
        doc.kind === 'page'
          ? 'The surround stands around every page; it cannot be removed from one.'
          : 'The root of a definition cannot be removed.',
      );
      return;
    }
    const next = nextSelected(selected);
    if (sync.edit({ name: 'remove', args: { doc: doc.id, nodes: topmost(doc.nodes, all) } }))
      dispatch(benchActions.select(next === undefined ? null : { doc: doc.id, nodes: [next] }));
  };
  const offered = selected !== undefined && !selected.isRoot;
  return [
    ...STEPS.map(({ step, label, key, arrow, none }): BenchAction => ({
      label,
      about: 'moving',
      key,
      keys: [arrow],
      offered,
      run: () => move(step, none),
    })),
    {
      label: 'name: tell it from others like it',
      about: 'what is selected',
      key: 'F2',
      keys: ['F2'],
      offered: selected?.count === 1 && selected.address === undefined,
      run: () => {
        if (!selected) return;
        if (folded.left) dispatch(benchActions.fold('left'));
        dispatch(benchActions.name({ doc: selected.doc.id, node: selected.id }));
      },
    },
    {
      label: 'remove',
      about: 'what is selected',
      key: 'Delete',
      keys: ['Delete', 'Backspace'],
      offered,
      run: remove,
    },
  ];
}

/** What is selected after this is gone: its neighbour, else what is around it; nothing when that is the root. */
function nextSelected({ doc, all }: Selected): string | undefined {
  const moving = topmost(doc.nodes, all);
  const { parent, slot } = doc.nodes[moving[0]!]!.place;
  if (parent === null) return undefined;
  const siblings = childrenOf(doc.nodes).of(parent, slot);
  const at = siblings.indexOf(moving[0]!);
  const staying = (id: string) => !moving.includes(id);
  const next = siblings.slice(at).find(staying) ?? siblings.slice(0, at).reverse().find(staying);
  return next ?? (parent === rootOf(doc.nodes) && doc.kind === 'page' ? undefined : parent);
}
