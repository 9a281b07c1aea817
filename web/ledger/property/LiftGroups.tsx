import type { ReactNode } from 'react';
import { canBeExposed, type ControlRow } from '@sormet/core/edit';
import { docOf } from '@sormet/core/model';
import { useDerived } from '../../site/SiteProvider';
import type { Selected } from '../use-selected';
import { exposureOf, useExposing } from '../../values/exposing';
import { groupsOf } from '../../parts/grouped/groups-of';

/** Lifts the properties of an instance inside a definition to that definition's own, a group of them with one press. */
export function LiftGroups({
  selected,
  rows,
}: {
  selected: Selected;
  /** The controls of what is selected. */
  rows: readonly ControlRow[];
}): ReactNode {
  const { documents } = useDerived();
  const exposing = useExposing();
  const outer = docOf(documents, 'component', selected.doc.id);
  const inner = selected.component;
  if (!outer || !inner) return null;
  const groups = groupsOf(inner.properties, inner.groups, 'Properties').flatMap(
    ({ key, label, rows: made }) => {
      const ids = new Set(made.map(([id]) => id));
      const free = rows.filter(
        (row) => row.control.of === 'value' && ids.has(row.control.property) && canBeExposed(row),
      );
      return free.length > 1 ? [{ key, label, free }] : [];
    },
  );
  if (groups.length === 0) return null;
  return (
    <p className="ledger-actions">
      <span className="quiet">expose together</span>
      {groups.map(({ key, label, free }) => (
        <button
          key={key}
          type="button"
          className="as-link"
          title={free.map((row) => row.label).join(', ')}
          onClick={() => exposing.expose(outer, free.map(exposureOf))}
        >
          {key === '' ? `all ${free.length} properties` : `${label}, ${free.length} properties`}
        </button>
      ))}
    </p>
  );
}
