import { own, type ComponentDoc, type PropertyId } from '@sormet/core/model';
import { shortName } from '@sormet/core/edit';
import type { Offer } from '../../store/bench-slice';

/** Why what an instance says for a property stays plain, and what can be done: its definition says what it may hold. */
export function plainInDefinition(
  component: ComponentDoc | undefined,
  property: PropertyId,
): { readonly notice: string; readonly offer: Offer | null } {
  const label = own(component?.properties ?? {}, property)?.label ?? 'This text';
  const name = component ? shortName(component.name) : 'a component';
  const shows = Object.entries(component?.nodes ?? {}).find(
    ([, each]) =>
      each.kind === 'text' && each.text.is === 'property' && each.text.property === property,
  );
  return {
    notice: `“${label}” is plain text in the definition of ${name}; made rich there, every instance may hold emphasis, links and shared styles.`,
    offer: component && shows ? { is: 'rich', definition: component.id, node: shows[0] } : null,
  };
}
