import type { NamedEdit } from '@sormet/core/edit';
import { inOrder, own, type ComponentDoc, type PropertyId } from '@sormet/core/model';
import type { NamedGroup, Standing } from '../../parts/grouped/standing';
import type { SiteSync } from '../../site/sync';

/** The edit that puts a property into a group (none for `null`) before another of it, or last. */
export function placing(
  component: ComponentDoc,
  property: PropertyId,
  into: string | null,
  before: PropertyId | null,
): NamedEdit {
  const made = into === null ? undefined : own(component.groups, into);
  return placingIn(component, property, made ? { id: into!, ...made } : null, before);
}

function placingIn(
  component: ComponentDoc,
  property: PropertyId,
  group: NamedGroup | null,
  before: PropertyId | null,
): NamedEdit {
  return {
    name: 'setProperty',
    args: { component: component.id, property, set: { place: { group, before } } },
  };
}

/**
 * The properties of a definition as they stand.
 * @param order all of them, across groups
 */
export function standingOfProperties(
  component: ComponentDoc,
  order: readonly PropertyId[],
  sync: Pick<SiteSync, 'edit'>,
): Standing {
  const { id, properties, groups } = component;
  return {
    order,
    groups: inOrder(groups).map(([group, made]) => ({ id: group, ...made })),
    labelOf: (property) => own(properties, property)?.label ?? '',
    groupOf: (property) => own(properties, property)?.group ?? null,
    put: (property, group, before) => void sync.edit(placingIn(component, property, group, before)),
    putGroup: (group, before) =>
      void sync.edit({ name: 'setGroup', args: { component: id, group, set: { before } } }),
  };
}
