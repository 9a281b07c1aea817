import type { ReactNode } from 'react';
import { useDraggable } from '@dnd-kit/core';
import { treeDocOf } from '@sormet/core/model';
import { useFieldDrop } from '../../canvas/field-drop';
import { useDerived } from '../../site/SiteProvider';
import { useApp } from '../../store/store';
import { instanceOn } from '../../values/exposed-at';
import { fieldsAround, type FieldAround } from '../../values/fields';
import { KIND_WORDS } from '../../words';

/**
 * The fields that can be read where something is selected, and on the page: each is dragged onto what it shall feed, or
 * given to what is selected by Enter.
 */
export function ShelfFields({ doc, find }: { doc: string; find: string }): ReactNode {
  const { documents } = useDerived();
  const selection = useApp((state) => state.bench.selection);
  const drop = useFieldDrop();
  const tree = treeDocOf(documents, doc);
  const [one, ...more] = selection?.nodes ?? [];
  const selected = selection && one !== undefined && more.length === 0 ? one : null;
  // What is selected in a definition that stands beside: it reads what is read where the page places it.
  const node =
    selection?.doc === doc || !tree || !selection
      ? selected
      : (instanceOn(tree, selection.doc) ?? null);
  const wanted = find.trim().toLowerCase();
  const fields = (tree ? fieldsAround(documents, tree, node) : []).filter(({ label }) =>
    label.toLowerCase().includes(wanted),
  );
  if (fields.length === 0)
    return (
      <p className="quiet shelf-none">
        {wanted === ''
          ? 'No entry can be read here: a page made from entries has fields, and so has what stands in a repeat.'
          : 'No field is called like this.'}
      </p>
    );
  const groups = [...new Set(fields.map(({ group }) => group))];
  return groups.map((group) => (
    <section key={group} aria-label={group}>
      <h3>{group}</h3>
      {fields
        .filter((each) => each.group === group)
        .map((field) => (
          <ShelfField
            key={field.id}
            field={field}
            onGive={() => {
              if (selection && selected !== null) drop(selection.doc, selected, field);
            }}
          />
        ))}
    </section>
  ));
}

function ShelfField({ field, onGive }: { field: FieldAround; onGive: () => void }): ReactNode {
  const { attributes, listeners, setNodeRef, isDragging } = useDraggable({
    id: `field-${field.id}`,
    data: { is: 'field', field },
  });
  return (
    <div
      ref={setNodeRef}
      className={`shelf-item ${isDragging ? 'dragging' : ''}`}
      {...listeners}
      {...attributes}
      aria-roledescription="can be dragged onto what it shall feed"
      title="Drag it onto words, a picture or a link, or press Enter to give it to what is selected"
      onDoubleClick={onGive}
      onKeyDown={(event) => {
        if (event.key === 'Enter') onGive();
        const by = event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0;
        if (by === 0) return;
        event.preventDefault();
        const items = [
          ...(event.currentTarget.closest('.shelf')?.querySelectorAll<HTMLElement>('.shelf-item') ??
            []),
        ];
        items[items.indexOf(event.currentTarget) + by]?.focus();
      }}
    >
      <span>{field.label}</span>
      <span className="shelf-note">{KIND_WORDS[field.kind]}</span>
    </div>
  );
}
