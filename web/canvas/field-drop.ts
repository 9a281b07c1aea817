import { useParams } from 'react-router';
import { canBeExposed, takingControl } from '@sormet/core/edit';
import { docOf, newId, treeDocOf, type NodeId, type TreeDoc } from '@sormet/core/model';
import { useDerived, useSync } from '../site/SiteProvider';
import { benchActions } from '../store/bench-slice';
import { useAppDispatch } from '../store/store';
import { instanceOn, useExposedAt } from '../values/exposed-at';
import { fieldsAround, type FieldAround } from '../values/fields';

/** A field that is dragged: what it is let go on is fed by it. */
export interface DraggedField {
  readonly is: 'field';
  readonly field: FieldAround;
}

/**
 * Feeds what takes a field by it, and says so; what takes none is told, too. In a definition that is opened from a page no
 * entry can be read: there what takes it becomes a property, and that is bound where the page places the definition.
 */
export function useFieldDrop(): (doc: string, node: NodeId, field: FieldAround) => void {
  const { documents } = useDerived();
  const sync = useSync();
  const dispatch = useAppDispatch();
  const exposedAt = useExposedAt();
  const { doc: opened = '' } = useParams();
  const say = (words: string) => dispatch(benchActions.notice(words));
  const intoDefinition = (page: TreeDoc, doc: string, node: NodeId, field: FieldAround) => {
    const component = docOf(documents, 'component', doc);
    const instance = component && instanceOn(page, component.id);
    const called = field.label.toLowerCase();
    if (!component || instance === undefined)
      return say('A field can be given to it where a page places this definition.');
    if (!fieldsAround(documents, page, instance).some(({ id }) => id === field.id))
      return say(`The ${called} cannot be read where this page places the definition.`);
    const row = takingControl(documents, component, node, field);
    if (!row) return say(`Nothing of it can show ${called}.`);
    const source = { ...field.source, whenEmpty: 'default' } as const;
    const at = { doc: page.id, node: instance };
    if (row.source?.is === 'property') {
      const control = { of: 'value', property: row.source.property } as const;
      if (sync.edit({ name: 'setControl', args: { ...at, control, source } }, once()))
        say(`${row.label} is a property already: on this page it is the ${called} now.`);
      return;
    }
    if (!canBeExposed(row)) return say(`${row.label} is not said here itself.`);
    if (exposedAt(component, row, field.label, at, source))
      say(`${field.label} is a property now, and on this page it is the ${called}.`);
  };
  return (doc, node, field) => {
    const page = treeDocOf(documents, opened);
    if (page && doc !== opened) return intoDefinition(page, doc, node, field);
    const tree = treeDocOf(documents, doc);
    const row = tree && takingControl(documents, tree, node, field);
    if (!row) return void say(`Nothing of it can show ${field.label.toLowerCase()}.`);
    // What is set of an instance has a default to fall back on.
    const whenEmpty = row.control.of === 'value' ? 'default' : 'nothing';
    const source = { ...field.source, whenEmpty } as const;
    const args = { doc, node: row.node, control: row.control, source };
    if (!sync.edit({ name: 'setControl', args }, once())) return;
    dispatch(benchActions.select({ doc, nodes: [node] }));
    say(`${row.label} is the ${field.label.toLowerCase()} of the entry now.`);
  };
}

const once = () => ({ group: `field ${newId()}` });
