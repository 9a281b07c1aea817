import { useEffect, useRef } from 'react';
import { useNavigate } from 'react-router';
import { childrenOf, docOf, own, tokensOf, treeDocOf, type Documents } from '@sormet/core/model';
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
    const { documents: there, beside: shown } = latest.current;
    const isOpen = (doc: string) => doc === page || doc === shown;
    const place = placeOf(there, taken, isOpen);
    if (place && !isOpen(place.doc)) {
      if (docOf(there, 'component', place.doc)) dispatch(benchActions.openBeside(place.doc));
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

/**
 * Where a step was: the first thing of a page or definition that it touched and that is there, else what that stood in.
 * What is open goes before all else that it touched: nobody is led away from where the step can be seen.
 */
function placeOf(
  documents: Documents,
  { changes }: Taken,
  isOpen: (doc: string) => boolean,
): { doc: string; node: string | undefined } | undefined {
  // What is open and gone by now, as a definition that was taken back, is no place to stay at.
  const seen = changes.filter(({ doc }) => isOpen(doc) && treeDocOf(documents, doc));
  let within: string | undefined;
  for (const { doc, path } of seen.length > 0 ? seen : changes) {
    const tree = treeDocOf(documents, doc);
    if (!tree) continue;
    within ??= doc;
    const node = nodeOf(path);
    const stored = node === undefined ? undefined : own(tree.nodes, node);
    // A rule that was made for what it says of an element is not where that was.
    if (!stored && path.startsWith('/rules/')) continue;
    if (!stored) return { doc, node: undefined };
    // The words of an element are one with it, where they are all that it holds.
    const { parent } = stored.place;
    const isItsText =
      stored.kind === 'text' && parent !== null && childrenOf(tree.nodes).all(parent).length === 1;
    return { doc, node: isItsText ? parent : node };
  }
  return within === undefined ? undefined : { doc: within, node: undefined };
}

/** The node that a path in a document is about: one of its tree, or one that a rule says something of. */
function nodeOf(path: string): string | undefined {
  const [first, second, third, fourth] = tokensOf(path);
  if (first === 'nodes') return second;
  return first === 'rules' && third === 'patch' ? fourth : undefined;
}
