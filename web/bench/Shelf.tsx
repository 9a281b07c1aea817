import { memo, useDeferredValue, useMemo, type ReactNode } from 'react';
import { useDraggable } from '@dnd-kit/core';
import { allOf } from '@sormet/core/model';
import { folderOf, shortName, STARTERS } from '@sormet/core/edit';
import { useApp, useAppDispatch } from '../store/store';
import { useDerived } from '../site/SiteProvider';
import { benchActions } from '../store/bench-slice';
import { nextPlace } from './go-line/places';
import { usePlacing, type Placeable } from '../canvas/placing';
import './Shelf.css';

/** What can be placed: components by folder with their reach, ready sections, elements. */
export const Shelf = memo(function Shelf({ doc }: { doc: string }): ReactNode {
  const { reach, ...derived } = useDerived();
  // What is typed does not wait for the counts to follow.
  const documents = useDeferredValue(derived.documents);
  const dispatch = useAppDispatch();
  const groups = useMemo(() => {
    const folders = new Map<string, ReactNode[]>();
    const components = allOf(documents, 'component').toSorted((a, b) => (a.name < b.name ? -1 : 1));
    for (const { id, name } of components) {
      const folder = folderOf(name) || 'Surrounds';
      const uses = reach.answer(id).instances.filter(({ kind }) => kind === 'places').length;
      const item = (
        <ShelfItem
          key={id}
          doc={doc}
          label={shortName(name)}
          note={String(uses)}
          placeable={{ is: 'component', id }}
        />
      );
      folders.set(folder, [...(folders.get(folder) ?? []), item]);
    }
    const named = [...folders].sort(([a], [b]) => rank(a) - rank(b) || (a < b ? -1 : 1));
    for (const folder of ['Ready sections', 'Elements'] as const)
      named.push([
        folder,
        STARTERS.filter((starter) => starter.folder === folder).map(({ key, label }) => (
          <ShelfItem key={key} doc={doc} label={label} note="" placeable={{ is: 'starter', key }} />
        )),
      ]);
    return named;
  }, [documents, reach, doc]);
  return (
    <div className="shelf">
      <button
        type="button"
        className="go-line-button"
        onClick={() => dispatch(benchActions.showGoLine(true))}
      >
        <span>place, go, do</span>
        <kbd>g</kbd>
      </button>
      {groups.map(([folder, items]) => (
        <section key={folder} aria-label={folder}>
          <h3>{folder}</h3>
          {items}
        </section>
      ))}
    </div>
  );
});

function rank(folder: string): number {
  return folder === 'Sections' ? 0 : folder === 'Surrounds' ? 9 : 1;
}

function ShelfItem({
  doc,
  label,
  note,
  placeable,
}: {
  doc: string;
  label: string;
  note: string;
  placeable: Placeable;
}): ReactNode {
  const { documents } = useDerived();
  const selection = useApp((state) => state.bench.selection);
  const placing = usePlacing();
  const id = placeable.is === 'component' ? placeable.id : placeable.key;
  const { attributes, listeners, setNodeRef, isDragging } = useDraggable({
    id: `shelf-${id}`,
    data: placeable,
  });
  const placeNext = () => {
    const at = nextPlace(documents, doc, selection);
    if (at) placing.place(doc, placeable, at);
  };
  return (
    <div
      ref={setNodeRef}
      className={isDragging ? 'shelf-item dragging' : 'shelf-item'}
      {...listeners}
      {...attributes}
      aria-roledescription="can be dragged to the page"
      title="Drag to the page, or press Enter to place it after what is selected"
      onKeyDown={(event) => {
        if (event.key === 'Enter') placeNext();
      }}
      onDoubleClick={placeNext}
    >
      <span>{label}</span>
      <span className="shelf-note">{note}</span>
    </div>
  );
}
