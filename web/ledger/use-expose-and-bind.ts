import { useParams } from 'react-router';
import { canBeExposed, type ControlRow } from '@sormet/core/edit';
import { treeDocOf, type ComponentDoc } from '@sormet/core/model';
import { useDerived } from '../site/SiteProvider';
import { instanceOn, useExposedAt } from '../values/exposed-at';
import { fittingFields, type FittingField } from '../values/fields';

/**
 * Exposing a control and binding it in one step, for a definition that is opened from a page: the fields that the first
 * instance on that page can read, and what makes a property of the control and binds it there.
 */
export function useExposeAndBind(
  component: ComponentDoc,
  row: ControlRow,
): { readonly fields: readonly FittingField[]; readonly bind: (field: FittingField) => void } {
  const { documents } = useDerived();
  const exposedAt = useExposedAt();
  const { doc: opened = '' } = useParams();
  const page = treeDocOf(documents, opened);
  const node = page && page.id !== component.id ? instanceOn(page, component.id) : undefined;
  if (!page || node === undefined || !canBeExposed(row))
    return { fields: [], bind: () => undefined };
  return {
    fields: fittingFields(documents, page, node, row.type),
    bind({ label, source }) {
      const last = label.slice(label.lastIndexOf('·') + 1).trim();
      const name = last === '' ? row.label : last[0]!.toUpperCase() + last.slice(1);
      exposedAt(component, row, name, { doc: page.id, node }, source);
    },
  };
}
