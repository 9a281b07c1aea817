import { memo, useState, type ReactNode } from 'react';
import { benchActions } from '../../store/bench-slice';
import { recentChoices } from '../../store/recent';
import { useAppDispatch } from '../../store/store';
import type { Item } from './shelf-items';
import { ShelfItem } from './ShelfItem';

/** How many of those that were used last stand first. */
const LAST_USED = 3;

/** The shelf's things by group, and what they are found by. */
export const ShelfList = memo(function ShelfList({
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
