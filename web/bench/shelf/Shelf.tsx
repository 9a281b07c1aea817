import {
  memo,
  useCallback,
  useDeferredValue,
  useEffect,
  useRef,
  useState,
  type ReactNode,
} from 'react';
import { allOf } from '@sormet/core/model';
import { limitsWhat } from '@sormet/core/edit';
import { useLatest } from '../../parts/use-latest';
import { fitsSlot, usePlacing } from '../../canvas/placing';
import { useDerived } from '../../site/SiteProvider';
import { useApp } from '../../store/store';
import { nextPlace, slotSelected } from '../go-line/places';
import { itemsOf, type Item } from './shelf-items';
import { ShelfList } from './ShelfList';
import { ShelfPicture } from './ShelfPicture';
import './Shelf.css';

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
          reach.usesOf(id).filter(({ kind }) => kind === 'places').length,
        ]),
      ),
    [documents],
  );
  const asked = slotSelected(documents, doc, selection);
  const refused = useSame<ReadonlySet<string>>(
    () =>
      new Set(
        asked && limitsWhat(asked)
          ? items.flatMap(({ id, placeable }) =>
              fitsSlot(documents, asked, placeable) ? [] : [id],
            )
          : [],
      ),
    [asked, items],
  );
  // Told what is so when something is done.
  const latestRef = useLatest({
    documents: derived.documents,
    selection,
    placing,
    isShown: shown !== null,
  });
  const place = useCallback(
    ({ placeable }: Item) => {
      const now = latestRef.current;
      const at = nextPlace(now.documents, doc, now.selection, placeable);
      if (at) now.placing.place(doc, placeable, at);
    },
    [doc, latestRef],
  );
  const show = useCallback(
    (item: Item | null, rect?: DOMRect, now = false) => {
      clearTimeout(timer.current);
      const wait = now || latestRef.current.isShown ? 0 : POINTS;
      if (!item || !rect) timer.current = setTimeout(() => setShown(null), now ? 0 : LEAVES);
      else timer.current = setTimeout(() => setShown({ item, rect }), wait);
    },
    [latestRef],
  );
  return (
    <div className="shelf" onPointerLeave={() => show(null)}>
      <ShelfList
        doc={doc}
        items={items}
        counts={counts}
        refused={refused}
        asked={asked?.label}
        onShow={show}
        onPlace={place}
      />
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
function useSame<T extends object>(make: () => T, from: readonly unknown[]): T {
  const [kept, keep] = useState(() => ({ from, value: make() }));
  if (kept.from.length === from.length && from.every((each, i) => each === kept.from[i]))
    return kept.value;
  const value = make();
  keep({ from, value });
  return value;
}
