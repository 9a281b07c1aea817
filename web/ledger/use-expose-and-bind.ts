import { useParams } from 'react-router';
import { canBeExposed, type ControlRow } from '@sormet/core/edit';
import { newId, treeDocOf, type ComponentDoc } from '@sormet/core/model';
import { useDerived, useSync } from '../site/SiteProvider';
import { fittingFields, type FittingField } from '../values/fields';
import { exposureOf, useExposing } from './exposing';

/**
 * Exposing a control and binding it in one step, for a definition that is opened from a page: the fields that the first
 * instance on that page can read, and what makes a property of the control and binds it there.
 */
export function useExposeAndBind(
  component: ComponentDoc,
  row: ControlRow,
): { readonly fields: readonly FittingField[]; readonly bind: (field: FittingField) => void } {
  const { documents } = useDerived();
  const sync = useSync();
  const exposing = useExposing();
  const { doc: opened = '' } = useParams();
  const page = treeDocOf(documents, opened);
  const [instance] = Object.entries(page?.nodes ?? {})
    .filter(([, node]) => node.kind === 'instance' && node.component === component.id)
    .map(([id]) => id)
    .sort();
  if (!page || page.id === component.id || instance === undefined || !canBeExposed(row))
    return { fields: [], bind: () => undefined };
  return {
    fields: fittingFields(documents, page, instance, row.type),
    bind({ label, source }) {
      const last = label.slice(label.lastIndexOf('·') + 1).trim();
      const name = last === '' ? row.label : last[0]!.toUpperCase() + last.slice(1);
      const { edit, property } = exposing.exposeOne(component, { ...exposureOf(row), label: name });
      const control = { of: 'value' as const, property };
      // Both are one step: exposed for the sake of the field, it goes with it.
      sync.editAll(
        [edit, { name: 'setControl', args: { doc: page.id, node: instance, control, source } }],
        { group: `expose and bind ${newId()} 1` },
      );
    },
  };
}
