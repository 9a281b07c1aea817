import { newId } from '@sormet/core/model';
import { veilEdits, veilWays, type VeilWay } from '@sormet/core/edit';
import { useDerived, useSync } from '../../site/SiteProvider';
import { benchActions } from '../../store/bench-slice';
import { useApp, useAppDispatch } from '../../store/store';
import type { Selected } from '../../ledger/use-selected';
import { sentence } from '../../words';
import type { BenchAction } from './bench-action';

const WORDS: Readonly<Record<VeilWay, string>> = {
  over: 'veil, laid over this picture',
  ground: 'veil, this picture as the ground of a box',
  below: 'veil over a picture',
};

/** Lays a veil over what is selected, in the way that what it is allows, each in one step. */
export function useVeils(selected: Selected | undefined): BenchAction[] {
  const { documents } = useDerived();
  const sync = useSync();
  const dispatch = useAppDispatch();
  const width = useApp(({ bench }) => bench.width);
  if (!selected) return [];
  const { doc, id, all } = selected;
  const lay = (way: VeilWay) => {
    const made = [newId(), newId()] as const;
    // What lies below a veil does so for all that is selected; a box is made around one.
    const nodes = way === 'below' ? all : [id];
    const edits = nodes.flatMap((node) =>
      veilEdits(documents, { doc: doc.id, node, width }, way, made),
    );
    const refusal = sync.attemptAll(edits, { group: `arrange ${newId()}` });
    if (refusal) return dispatch(benchActions.notice(sentence(refusal.refused)));
    if (way !== 'below') dispatch(benchActions.select({ doc: doc.id, nodes: [made[0]] }));
    if (way === 'ground')
      dispatch(
        benchActions.notice(
          'The picture lies behind a box now. A ground says nothing to those who listen: its alternative text is gone.',
        ),
      );
  };
  return veilWays(documents, doc.id, id).map((way) => ({
    label: `arrange: ${WORDS[way]}`,
    about: 'moving',
    under: 'arrange:',
    key: '',
    offered:
      all.length === 1 ||
      (all.every((each) => veilWays(documents, doc.id, each).includes(way)) && way === 'below'),
    run: () => lay(way),
  }));
}
