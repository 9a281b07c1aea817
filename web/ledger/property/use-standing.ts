import {
  inOrder,
  newId,
  orderBetween,
  type ComponentDoc,
  type PropertyId,
} from '@sormet/core/model';
import { useSync } from '../../site/SiteProvider';
import { placing } from './ordering';

/**
 * Where a property of a definition stands, changed by keys and choices: past its neighbour, into another group.
 * @param order all properties as they stand, across groups
 */
export function useStanding(
  component: ComponentDoc,
  id: PropertyId,
  order: readonly PropertyId[],
): { readonly step: (by: -1 | 1) => void; readonly regroup: (chosen: string) => void } {
  const sync = useSync();
  const { properties, groups } = component;
  const put = (group: string | null, before: PropertyId | null) =>
    sync.edit(placing(component, id, group, before));
  /** One step up or down: past the neighbour, and where that stands in another group, into that group. */
  const step = (by: -1 | 1) => {
    const to = order.indexOf(id) + by;
    const neighbour = order[to];
    if (neighbour === undefined) return;
    const { group: into } = properties[neighbour]!;
    const beyond = order[to + 1];
    const isSame = into === properties[id]!.group;
    if (by < 0) put(into, isSame ? neighbour : null);
    else if (!isSame) put(into, neighbour);
    else put(into, beyond !== undefined && properties[beyond]!.group === into ? beyond : null);
  };
  const regroup = (chosen: string) => {
    if (chosen !== 'new') return put(chosen === '' ? null : chosen, null);
    const last = inOrder(groups).at(-1)?.[1].order ?? null;
    const group = { id: newId(), label: properties[id]!.label, order: orderBetween(last, null) };
    return sync.edit({
      name: 'setProperty',
      args: { component: component.id, property: id, set: { place: { group, before: null } } },
    });
  };
  return { step, regroup };
}
