import type { ReactNode } from 'react';

/** What stands there while the first screen is on its way. */
export function Loading(): ReactNode {
  return (
    <div className="page-narrow" role="status">
      <p className="quiet">Loading …</p>
    </div>
  );
}
