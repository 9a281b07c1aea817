import { useEffect, useRef } from 'react';
import { useLocation } from 'react-router';
import { newId, own, treeDocOf, docOf, type Documents } from '@sormet/core/model';
import { useLatest } from '../../parts/use-latest';
import { useDerived } from '../../site/SiteProvider';
import { benchActions, type Selection } from '../../store/bench-slice';
import { useAppDispatch, useBench } from '../../store/store';
import { readAddress, writeAddress } from './bench-address';

/** How often the address is changed in the long run, in ms: browsers allow so many changes of it and no more. */
const APART = 200;

/** How many changes of it may come at once where it was quiet: more than a hand makes before it loads the window anew. */
const AT_ONCE = 20;

/**
 * Keeps what is selected, lit and looked at in the address of the window, and takes it from there when somebody comes by
 * an address: by a link, by going back or forward, by loading anew.
 */
export function useAddressed(page: string): void {
  const dispatch = useAppDispatch();
  const { documents } = useDerived();
  const { key } = useLocation();
  const { selection, beside, width, tab, lit, state, picks } = useBench(
    'selection',
    'beside',
    'width',
    'tab',
    'lit',
    'state',
    'picks',
  );
  const latest = useLatest(documents);
  /** What the address says, by whom it was said last. */
  const said = useRef<string | null>(null);

  useEffect(() => {
    const { search, hash } = window.location;
    // Another entry of the same page, or what was written here: nothing else is meant by it.
    if (said.current === page + wordsOf(search, hash, page)) return;
    const now = readAddress(search, hash, page);
    dispatch(
      benchActions.arrive({
        ...now,
        picks: now.picks ? { ...now.picks, rule: newId() } : null,
        selection: there(latest.current, now.selection ?? null),
        beside: now.beside && docOf(latest.current, 'component', now.beside) ? now.beside : null,
      }),
    );
    said.current = page + wordsOf(search, hash, page);
  }, [page, key, dispatch, latest]);

  /** When the changes that were made would be due, each `APART` from the one before (the generic cell rate algorithm). */
  const dueUpTo = useRef(0);
  const writeSoon = useRef<ReturnType<typeof setTimeout> | undefined>(undefined);
  useEffect(() => {
    if (said.current?.startsWith(page) !== true) return;
    const write = () => {
      const { pathname, search } = window.location;
      if (!pathname.endsWith(`/bench/${page}`)) return;
      const now = { selection, beside, width, tab, lit, state, picks };
      const next = writeAddress(now, page, search);
      said.current = page + wordsOf(next.search, next.hash, page);
      if (next.search === search && next.hash === window.location.hash) return;
      // The router is not told: nothing of what it leads to has changed.
      dueUpTo.current = Math.max(dueUpTo.current, Date.now()) + APART;
      window.history.replaceState(window.history.state, '', pathname + next.search + next.hash);
    };
    // At once as long as it may be: a window that is loaded anew asks for the address as it stands.
    clearTimeout(writeSoon.current);
    const early = dueUpTo.current - AT_ONCE * APART - Date.now();
    if (early <= 0) write();
    else writeSoon.current = setTimeout(write, early);
    window.addEventListener('pagehide', write);
    return () => {
      clearTimeout(writeSoon.current);
      window.removeEventListener('pagehide', write);
    };
  }, [page, selection, beside, width, tab, lit, state, picks]);
}

/** What an address says of the bench, as one text that is the same for the same. */
function wordsOf(search: string, hash: string, page: string): string {
  return JSON.stringify(readAddress(search, hash, page));
}

/** What of a selection is there; nothing where its first is gone. */
function there(documents: Documents, selection: Selection | null): Selection | null {
  const tree = selection && treeDocOf(documents, selection.doc);
  if (!tree) return null;
  const nodes = selection.nodes.filter((id) => own(tree.nodes, id));
  return nodes.length === 0 && selection.nodes.length > 0 ? null : { ...selection, nodes };
}
