import { newId, orderBetween, inOrder, type ComponentDoc } from '@sormet/core/model';
import { keyFor, type ControlRow } from '@sormet/core/edit';
import { useSync } from '../../site/SiteProvider';

/** A control that should become a property, with the label chosen for it. */
export interface Exposure {
  readonly row: ControlRow;
  readonly label: string;
}

export function exposureOf(row: ControlRow): Exposure {
  return { row, label: row.label };
}

/** Exposes controls in one go: keys made and unique, a group for each element, in the order given. */
export function useExposing(): {
  expose: (component: ComponentDoc, exposures: readonly Exposure[]) => boolean;
} {
  const sync = useSync();
  return {
    expose(component, exposures) {
      const keys = new Set(Object.values(component.properties).map(({ key }) => key));
      const groups = new Map<string, { id: string; label: string; order: string }>();
      let lastOrder = inOrder(component.properties).at(-1)?.[1].order ?? null;
      let lastGroup = inOrder(component.groups).at(-1)?.[1].order ?? null;
      const controls = exposures.map(({ row, label }) => {
        const key = keyFor(label, keys);
        keys.add(key);
        lastOrder = orderBetween(lastOrder, null);
        let group = groups.get(row.element) ?? groupOfElement(component, row);
        if (!group) {
          lastGroup = orderBetween(lastGroup, null);
          group = { id: newId(), label: row.elementName, order: lastGroup };
        }
        groups.set(row.element, group);
        return {
          node: row.node,
          control: row.control,
          property: newId(),
          label,
          key,
          order: lastOrder,
          group,
        };
      });
      return sync.edit({ name: 'expose', args: { component: component.id, controls } });
    },
  };
}

/** The group that other properties of the same element stand in already. */
function groupOfElement(
  component: ComponentDoc,
  row: ControlRow,
): { id: string; label: string; order: string } | undefined {
  const found = Object.entries(component.groups).find(([, { label }]) => label === row.elementName);
  return found && { id: found[0], ...found[1] };
}
