import { takingControl, type ControlRow } from '@sormet/core/edit';
import { newId, treeDocOf, type Documents, type NodeId } from '@sormet/core/model';
import { useDerived, useSync } from '../site/SiteProvider';
import { benchActions } from '../store/bench-slice';
import { useAppDispatch } from '../store/store';
import type { FieldAround } from '../values/fields';

/** A field that is dragged: what it is let go on is fed by it. */
export interface DraggedField {
  readonly is: 'field';
  readonly field: FieldAround;
}

/** What of a node takes a field that is read there; nothing where nothing does. */
export function takerOf(
  documents: Documents,
  doc: string,
  node: NodeId,
  field: FieldAround,
): ControlRow | undefined {
  const tree = treeDocOf(documents, doc);
  return tree && takingControl(documents, tree, node, field);
}

/** Feeds what takes a field by it, and says so; what takes none is told, too. */
export function useFieldDrop(): (doc: string, node: NodeId, field: FieldAround) => void {
  const { documents } = useDerived();
  const sync = useSync();
  const dispatch = useAppDispatch();
  return (doc, node, field) => {
    const row = takerOf(documents, doc, node, field);
    if (!row) {
      dispatch(benchActions.notice(`Nothing of it can show ${field.label.toLowerCase()}.`));
      return;
    }
    // What is set of an instance has a default to fall back on.
    const whenEmpty = row.control.of === 'value' ? 'default' : 'nothing';
    const source = { ...field.source, whenEmpty } as const;
    const done = sync.edit(
      { name: 'setControl', args: { doc, node: row.node, control: row.control, source } },
      { group: `field ${newId()}` },
    );
    if (!done) return;
    dispatch(benchActions.select({ doc, nodes: [node] }));
    dispatch(
      benchActions.notice(`${row.label} is the ${field.label.toLowerCase()} of the entry now.`),
    );
  };
}
