import { newId, orderBetween } from '@sormet/core/model';
import type { Standing } from './standing';

/** Where one of several things in groups stands, changed by keys and choices: past its neighbour, into another group. */
export interface Stepping {
  /** Up or down: past the neighbour, and where that stands in another group, into that group. */
  readonly step: (by: -1 | 1) => void;
  /** Into a group by its id; `''` for none, `new` for one of its own. */
  readonly regroup: (chosen: string) => void;
}

/** The steps that one thing can take. */
export function steppingOf(standing: Standing, id: string): Stepping {
  const { order, groups, groupOf, labelOf, put } = standing;
  const into = (group: string | null, before: string | null) =>
    put(id, groups.find((each) => each.id === group) ?? null, before);
  return {
    step(by) {
      const to = order.indexOf(id) + by;
      const neighbour = order[to];
      if (neighbour === undefined) return;
      const group = groupOf(neighbour);
      const beyond = order[to + 1];
      const isSame = group === groupOf(id);
      if (by < 0) into(group, isSame ? neighbour : null);
      else if (!isSame) into(group, neighbour);
      else into(group, beyond !== undefined && groupOf(beyond) === group ? beyond : null);
    },
    regroup(chosen) {
      if (chosen !== 'new') return into(chosen === '' ? null : chosen, null);
      const last = groups.at(-1)?.order ?? null;
      put(id, { id: newId(), label: labelOf(id), order: orderBetween(last, null) }, null);
    },
  };
}
