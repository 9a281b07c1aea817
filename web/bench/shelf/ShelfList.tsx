import { memo, useState, type ReactNode } from 'react';
import { Image, Type } from 'lucide-react';
import { IconButton } from '../../parts/IconButton';
import { benchActions } from '../../store/bench-slice';
import { recentChoices } from '../../store/recent';
import { useAppDispatch } from '../../store/store';
import type { Item } from './shelf-items';
import { keepShelf, keptShelf, PARTS, type ShelfLook } from './kept-shelf';
import { ShelfFields } from './ShelfFields';
import { ShelfItem } from './ShelfItem';

/** How many of those that were used last stand first. */
const LAST_USED = 3;

/** The shelf's things by group, and what they are found by. */
export const ShelfList = memo(function ShelfList({
  items,
  counts,
  refused,
  asked,
  doc,
  onShow,
  onPlace,
}: {
  doc: string;
  items: readonly Item[];
  counts: ReadonlyMap<string, number>;
  /** The ids of those that the slot which is meant does not take. */
  refused: ReadonlySet<string>;
  /** What that slot is called. */
  asked: string | undefined;
  onShow: (item: Item | null, rect?: DOMRect, now?: boolean) => void;
  onPlace: (item: Item) => void;
}): ReactNode {
  const dispatch = useAppDispatch();
  const [search, setSearch] = useState('');
  const [look, setLook] = useState(keptShelf);
  const show = (next: Partial<ShelfLook>) => {
    const now = { ...look, ...next };
    setLook(now);
    keepShelf(now);
  };
  const wanted = search.trim().toLowerCase().split(/\s+/).filter(Boolean);
  // Whoever looks for something looks everywhere.
  const isIn = ({ part }: Item) =>
    look.part !== 'fields' && (wanted.length > 0 || look.part === 'all' || part === look.part);
  const found = items.filter(
    (item) => isIn(item) && wanted.every((word) => item.words.includes(word)),
  );
  const last = recentChoices()
    .flatMap((value) => items.find(({ id }) => value === `place ${id}`) ?? [])
    .slice(0, LAST_USED);
  const folders = [...new Set(found.map(({ folder }) => folder))];
  const groups: [string, readonly Item[]][] = [
    ...(wanted.length === 0 && look.part === 'all' && last.length > 0
      ? [['Used last', last] as [string, Item[]]]
      : []),
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
        <IconButton
          icon={look.pictures ? Type : Image}
          name={look.pictures ? 'Words in the place of pictures' : 'Pictures in the place of words'}
          title={
            look.pictures ? 'Words in the place of pictures' : 'Pictures in the place of words'
          }
          onPress={() => show({ pictures: !look.pictures })}
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
      <div className="shelf-parts">
        <span role="radiogroup" aria-label="Part of the shelf">
          {PARTS.map((part) => (
            <button
              key={part}
              type="button"
              role="radio"
              aria-checked={look.part === part}
              onClick={() => show({ part })}
            >
              {part}
            </button>
          ))}
        </span>
      </div>
      {look.part === 'fields' ? <ShelfFields doc={doc} find={search} /> : null}
      {found.length === 0 && look.part !== 'fields' ? (
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
              refusedBy={refused.has(item.id) ? asked : undefined}
              pictured={look.pictures}
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
