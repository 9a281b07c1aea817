import type { ReactNode } from 'react';
import type { Typed, TypeSpec } from '@sormet/core/model';
import { limitFault } from '@sormet/core/value';
import { sentence } from '../words';
import { useDerived } from '../site/SiteProvider';

/** Why what stands in a cell counts as empty there: told at the cell, and nothing of it is lost. */
export function LimitWords({
  type,
  value,
}: {
  type: TypeSpec;
  value: Typed | undefined;
}): ReactNode {
  const { data } = useDerived();
  const reason = value ? limitFault(value, type, data) : null;
  return reason === null ? null : (
    <span className="cell-error" role="status">
      {sentence(reason)} Nothing shows.
    </span>
  );
}
