import { useEffect, useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { allOf, docOf, entryTitle, pageForEntries, pathOf, type Place } from '@sormet/core/model';
import { shortName } from '@sormet/core/edit';
import { STARTERS } from '@sormet/core/ready';
import { useLatest } from '../../parts/use-latest';
import { useStable } from '../../parts/use-stable';
import { usePlacing, type Placeable } from '../../canvas/placing';
import { useDerived, useSync } from '../../site/SiteProvider';
import { benchActions } from '../../store/bench-slice';
import { useAppDispatch } from '../../store/store';
import type { Choosable } from './ranking';

export interface Choice extends Choosable {
  /** What it places, where it does. */
  readonly placeable?: Placeable;
  /** Done at a place where it places something; nothing is done without one then. */
  readonly run: (place: Place | undefined) => void;
}

/** The screens of a site beside the bench, by the words of their addresses. */
const SCREENS: readonly { name: string; path: string }[] = [
  { name: 'Pages', path: '' },
  { name: 'Library', path: '/library' },
  { name: 'Content', path: '/content' },
  { name: 'Releases', path: '/releases' },
  { name: 'Settings', path: '/settings' },
];

/** Everything that the go line can do: place, go, do. */
export function useChoices(
  doc: string,
  actions: readonly { label: string; key: string; run: () => void }[],
): readonly Choice[] {
  const { documents } = useDerived();
  const sync = useSync();
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const placing = usePlacing();
  // Made anew each time the bench is drawn: read when something is done, so that a key that is typed makes no list anew.
  const latest = useLatest({ placing, actions });
  const lookedUp = useLookedUp();
  const listed = useStable(actions.map(({ label, key }) => ({ label, key })));
  return useMemo(() => {
    const found: Choice[] = [];
    const add = (verb: string, id: string, name: string, note: string, run: Choice['run']) =>
      found.push({ value: `${verb} ${id}`, verb, name, note, run });
    const offer = (
      id: string,
      name: string,
      note: string,
      placeable: Placeable,
      also: readonly string[] = [],
    ) =>
      found.push({
        value: `place ${id}`,
        verb: 'place',
        name,
        note,
        also,
        placeable,
        run: place(placeable),
      });
    const goTo = (path: string) => () => void navigate(`/sites/${sync.site}${path}`);
    const place = (placeable: Placeable) => (at: Place | undefined) => {
      if (at) latest.current.placing.place(doc, placeable, at);
      else dispatch(benchActions.notice('There is no place for that here.'));
    };
    const components = allOf(documents, 'component');
    for (const { id, name } of components)
      offer(id, shortName(name), name, { is: 'component', id });
    for (const { key, label, folder, also } of STARTERS)
      offer(key, label, folder.toLowerCase(), { is: 'starter', key }, also);
    if (docOf(documents, 'component', doc)) offer('slot', 'Slot', 'elements', { is: 'slot' });
    for (const page of allOf(documents, 'page'))
      add('go', page.id, page.path, page.name, goTo(`/bench/${page.id}`));
    for (const { id, name } of components)
      add('go', id, `definition of ${shortName(name)}`, '', () =>
        dispatch(benchActions.openBeside(id)),
      );
    for (const { name, path } of SCREENS) add('go', `screen ${name}`, name, 'screen', goTo(path));
    for (const entry of allOf(documents, 'entry')) {
      const page = pageForEntries(documents, entry.type);
      const path = page
        ? `/bench/${page.id}?entry=${entry.id}`
        : `/content/${entry.type}/${entry.id}`;
      const note = page ? pathOf(page, entry) : entry.slug;
      add('go', entry.id, entryTitle(documents, entry), note, goTo(path));
    }
    for (const { label, key } of listed)
      add('do', label, label, key, () =>
        latest.current.actions.find((each) => each.label === label)?.run(),
      );
    for (const { at, words } of lookedUp)
      add('read', at, words, 'handbook', () => dispatch(benchActions.openHandbook(at)));
    return found;
  }, [documents, doc, navigate, sync, dispatch, latest, listed, lookedUp]);
}

const NOT_YET: readonly { at: string; words: string }[] = [];

/** What can be looked up in the handbook: it is loaded with the first line that is opened. */
function useLookedUp(): readonly { readonly at: string; readonly words: string }[] {
  const [lookedUp, setLookedUp] = useState(NOT_YET);
  useEffect(() => {
    let isOver = false;
    import('../../parts/handbook/chapters').then(
      ({ LOOKED_UP }) => {
        if (!isOver) setLookedUp([...LOOKED_UP]);
      },
      (error: unknown) => console.error(error),
    );
    return () => {
      isOver = true;
    };
  }, []);
  return lookedUp;
}
