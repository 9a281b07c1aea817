import { allOf, type ComponentDoc, type Documents } from '../../model';
import { freeName } from '../names';

/** A component as another one's duplicate: in the same folder, under a name of its own, placed nowhere yet. */
export function duplicateOfComponent(
  documents: Documents,
  component: ComponentDoc,
  id: string,
): ComponentDoc {
  const names = allOf(documents, 'component').map(({ name }) => name);
  return { ...component, id, name: freeName(component.name, names) };
}
