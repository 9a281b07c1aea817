import {
  memo,
  useCallback,
  useDeferredValue,
  useEffect,
  useRef,
  useState,
  type ReactNode,
} from 'react';
import { useDraggable } from '@dnd-kit/core';
import { allOf, docOf, type ComponentDoc, type Documents } from '@sormet/core/model';
import { folderOf, shortName, STARTERS } from '@sormet/core/edit';
import { useApp, useAppDispatch } from '../store/store';
import { useDerived } from '../site/SiteProvider';
import { benchActions } from '../store/bench-slice';
import { nextPlace } from './go-line/places';
import { recentChoices } from '../store/recent';
import { usePlacing, type Placeable } from '../canvas/placing';
import { ShelfPicture } from './ShelfPicture';
import './Shelf.css';

/** Something of the shelf, with everything it can be found by. */
interface Item {
  readonly id: string;
  readonly label: string;
  readonly note: string;
  readonly folder: string;
  readonly placeable: Placeable;
  readonly words: string;
}

/** How many of those that were used last stand first. */
const LAST_USED = 3;
/** How long somebody points before a picture is drawn, in ms: passing over is not pointing. */
const POINTS = 180;
/** How long a picture stays when somebody leaves, in ms: on the way to the picture itself. */
const LEAVES = 250;

/** What can be placed: the last used, ready sections, components by folder with their reach, elements; found by typing. */
export const Shelf = memo(function Shelf({ doc }: { doc: string }): ReactNode {
  const { reach, ...derived } = useDerived();
  const selection = useApp((state) => state.bench.selection);
  const placing = usePlacing();
  // What is typed does not wait for the shelf to follow, and it follows only what it shows.
  const documents = useDeferredValue(derived.documents);
  const [shown, setShown] = useState<{ item: Item; rect: DOMRect } | null>(null);
  const timer = useRef<ReturnType<typeof setTimeout> | undefined>(undefined);
  useEffect(() => () => clearTimeout(timer.current), []);
  const components = allOf(documents, 'component');
  const known = components.map(({ id }) => documents.get(id));
  const items = useSame(() => itemsOf(documents, doc), [doc, ...known]);
  const counts = useSame(
    () =>
      new Map(
        components.map(({ id }) => [
          id,
          reach.answer(id).instances.filter(({ kind }) => kind === 'places').length,
        ]),
      ),
    [documents],
  );
  // Told what is so when something is done.
  const latest = useRef({ documents: derived.documents, selection, placing, isShown: false });
  latest.current = {
    documents: derived.documents,
    selection,
    placing,
    isShown: shown !== null,
  };
  const place = useCallback(
    ({ placeable }: Item) => {
      const now = latest.current;
      const at = nextPlace(now.documents, doc, now.selection);
      if (at) now.placing.place(doc, placeable, at);
    },
    [doc],
  );
  const show = useCallback((item: Item | null, rect?: DOMRect, now = false) => {
    clearTimeout(timer.current);
    const wait = now || latest.current.isShown ? 0 : POINTS;
    if (!item || !rect) timer.current = setTimeout(() => setShown(null), now ? 0 : LEAVES);
    else timer.current = setTimeout(() => setShown({ item, rect }), wait);
  }, []);
  return (
    <div className="shelf" onPointerLeave={() => show(null)}>
      <ShelfList items={items} counts={counts} onShow={show} onPlace={place} />
      {shown ? (
        <ShelfPicture
          placeable={shown.item.placeable}
          beside={shown.rect}
          onHold={() => clearTimeout(timer.current)}
          onLeave={() => show(null)}
        />
      ) : null}
    </div>
  );
});

/** Made anew only when one of some things is another object. */
function useSame<T>(make: () => T, from: readonly unknown[]): T {
  const kept = useRef<{ from: readonly unknown[]; value: T } | null>(null);
  const same =
    kept.current?.from.length === from.length &&
    from.every((each, i) => each === kept.current!.from[i]);
  if (!kept.current || !same) kept.current = { from, value: make() };
  return kept.current.value;
}

/** The shelf's things by group, and what they are found by. */
const ShelfList = memo(function ShelfList({
  items,
  counts,
  onShow,
  onPlace,
}: {
  items: readonly Item[];
  counts: ReadonlyMap<string, number>;
  onShow: (item: Item | null, rect?: DOMRect, now?: boolean) => void;
  onPlace: (item: Item) => void;
}): ReactNode {
  const dispatch = useAppDispatch();
  const [search, setSearch] = useState('');
  const wanted = search.trim().toLowerCase().split(/\s+/).filter(Boolean);
  const found = items.filter(({ words }) => wanted.every((word) => words.includes(word)));
  const last = recentChoices()
    .flatMap((value) => items.find(({ id }) => value === `place ${id}`) ?? [])
    .slice(0, LAST_USED);
  const folders = [...new Set(found.map(({ folder }) => folder))];
  const groups: [string, readonly Item[]][] = [
    ...(wanted.length === 0 && last.length > 0 ? [['Used last', last] as [string, Item[]]] : []),
    ...folders.map((folder): [string, readonly Item[]] => [
      folder,
      found.filter((item) => item.folder === folder),
    ]),
  ];
  return (
    <>
      <div className="shelf-head">
        <input
          className="shelf-search"
          type="search"
          aria-label="Search the shelf"
          placeholder="find"
          title="By name, folder, words inside or property"
          value={search}
          onChange={({ target }) => setSearch(target.value)}
          onKeyDown={({ key, currentTarget }) => {
            if (key === 'Escape') setSearch('');
            if (key === 'Enter' || key === 'ArrowDown')
              currentTarget.closest('.shelf')?.querySelector<HTMLElement>('.shelf-item')?.focus();
          }}
        />
        <button
          type="button"
          className="go-line-button"
          title="Go line: place, go, do"
          aria-label="Go line: place, go, do"
          onClick={() => dispatch(benchActions.showGoLine(true))}
        >
          <kbd>g</kbd>
        </button>
      </div>
      {found.length === 0 ? (
        <p className="quiet">
          Nothing is called like this, holds these words or has such a property.
        </p>
      ) : null}
      {groups.map(([folder, list]) => (
        <section key={folder} aria-label={folder}>
          <h3>{folder}</h3>
          {list.map((item) => (
            <ShelfItem
              key={item.id}
              at={folder}
              item={item}
              note={counts.has(item.id) ? String(counts.get(item.id)) : item.note}
              onShow={onShow}
              onPlace={onPlace}
            />
          ))}
        </section>
      ))}
    </>
  );
});

/** Everything there is to place: ready sections first, then components by folder, elements last. */
function itemsOf(documents: Documents, doc: string): Item[] {
  const starters = (folder: 'Ready sections' | 'Elements'): Item[] =>
    STARTERS.filter((starter) => starter.folder === folder).map(({ key, label }) => ({
      id: key,
      label,
      note: '',
      folder,
      placeable: { is: 'starter', key },
      words: `${label} ${folder}`.toLowerCase(),
    }));
  const components = allOf(documents, 'component')
    .toSorted((a, b) => rank(a) - rank(b) || (a.name < b.name ? -1 : 1))
    .map((component): Item => ({
      id: component.id,
      label: shortName(component.name),
      note: '',
      folder: folderOf(component.name) || 'Surrounds',
      placeable: { is: 'component', id: component.id },
      words: wordsIn(component),
    }));
  const slot: Item = {
    id: 'slot',
    label: 'Slot',
    note: '',
    folder: 'Elements',
    placeable: { is: 'slot' },
    words: 'slot elements place',
  };
  return [
    ...starters('Ready sections'),
    ...components,
    ...starters('Elements'),
    ...(docOf(documents, 'component', doc) ? [slot] : []),
  ];
}

function rank({ name }: ComponentDoc): number {
  const folder = folderOf(name);
  return folder === 'Sections' ? 0 : folder === '' ? 9 : 1;
}

/** What a component is found by: its name with its folder, the words in it, its properties. */
function wordsIn({ name, properties, nodes }: ComponentDoc): string {
  const texts = Object.values(nodes).flatMap((node) =>
    node.kind === 'text' && node.text.is === 'value' && node.text.type === 'text'
      ? [node.text.value ?? '']
      : [],
  );
  const exposed = Object.values(properties).flatMap(({ label, default: held }) => [
    label,
    held.is === 'value' && held.type === 'text' ? (held.value ?? '') : '',
  ]);
  return [name, ...exposed, ...texts].join(' ').toLowerCase();
}

/** One thing of the shelf: told what to do by the shelf, so that nothing of it is drawn anew while something is typed. */
const ShelfItem = memo(function ShelfItem({
  at,
  item,
  note,
  onShow,
  onPlace,
}: {
  /** The group it stands in: one thing may stand in two. */
  at: string;
  item: Item;
  note: string;
  onShow: (item: Item | null, rect?: DOMRect, now?: boolean) => void;
  onPlace: (item: Item) => void;
}): ReactNode {
  const { attributes, listeners, setNodeRef, isDragging } = useDraggable({
    id: `shelf-${at}-${item.id}`,
    data: item.placeable,
  });
  return (
    <div
      ref={setNodeRef}
      className={isDragging ? 'shelf-item dragging' : 'shelf-item'}
      {...listeners}
      {...attributes}
      aria-roledescription="can be dragged to the page"
      title="Drag to the page, or press Enter to place it after what is selected"
      onPointerEnter={({ currentTarget }) => onShow(item, currentTarget.getBoundingClientRect())}
      onPointerDownCapture={() => onShow(null, undefined, true)}
      onFocus={({ currentTarget }) => {
        if (currentTarget.matches(':focus-visible'))
          onShow(item, currentTarget.getBoundingClientRect(), true);
      }}
      onBlur={() => onShow(null, undefined, true)}
      onKeyDown={(event) => {
        if (event.key === 'Enter') onPlace(item);
        const items = [
          ...(event.currentTarget.closest('.shelf')?.querySelectorAll<HTMLElement>('.shelf-item') ??
            []),
        ];
        const by = event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0;
        if (by === 0) return;
        event.preventDefault();
        items[items.indexOf(event.currentTarget) + by]?.focus();
      }}
      onDoubleClick={() => onPlace(item)}
    >
      <span>{item.label}</span>
      <span className="shelf-note">{note}</span>
    </div>
  );
});
