import { useEffect, useRef } from 'react';
import { useNavigate } from 'react-router';
import { childrenOf, docOf, own, treeDocOf, type Documents } from '@sormet/core/model';
import type { Taken } from '../store/site-slice';
import { useLatest } from '../parts/use-latest';
import { useDerived, useSync } from '../site/SiteProvider';
import { benchActions } from '../store/bench-slice';
import { useApp, useAppDispatch, useBench } from '../store/store';
import { takenWords } from '../words';

/** Says what was taken back or done again, and goes to where that was. */
export function useTakenBack(page: string): void {
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const { site } = useSync();
  const { documents } = useDerived();
  const taken = useApp((state) => state.site.taken);
  const { beside } = useBench('beside');
  const latest = useLatest({ documents, beside });
  /** What was told already: also what was taken back before the bench was there. */
  const told = useRef(taken);
  useEffect(() => {
    if (taken === told.current) return;
    if (!taken) {
      told.current = null;
      return;
    }
    const place = placeOf(latest.current.documents, taken);
    if (place && place.doc !== page && place.doc !== latest.current.beside) {
      if (docOf(latest.current.documents, 'component', place.doc))
        dispatch(benchActions.openBeside(place.doc));
      else {
        // Told and selected once that page is there.
        void navigate(
          `/sites/${site}/bench/${place.doc}${place.node === undefined ? '' : `#${place.node}`}`,
        );
        return;
      }
    }
    told.current = taken;
    if (place)
      dispatch(
        benchActions.select({
          doc: place.doc,
          nodes: place.node === undefined ? [] : [place.node],
        }),
      );
    dispatch(benchActions.notice(takenWords(taken)));
  }, [taken, page, site, navigate, dispatch, latest]);
}

/** Where a step was: the first thing of a page or definition that it touched and that is there, else what that stood in. */
function placeOf(
  documents: Documents,
  { changes }: Taken,
): { doc: string; node: string | undefined } | undefined {
  for (const { doc, path } of changes) {
    const tree = treeDocOf(documents, doc);
    if (!tree) continue;
    const node = path.split('/')[2];
    const stored =
      path.startsWith('/nodes/') && node !== undefined ? own(tree.nodes, node) : undefined;
    if (!stored) return { doc, node: undefined };
    // The words of an element are one with it, where they are all that it holds.
    const { parent } = stored.place;
    const isItsText =
      stored.kind === 'text' && parent !== null && childrenOf(tree.nodes).all(parent).length === 1;
    return { doc, node: isItsText ? parent : node };
  }
  return undefined;
}
