import type { ReactNode } from 'react';
import type { ComponentDoc } from '@sormet/core/model';
import { DraftField } from './DraftField';
import { ExposeTable } from './ExposeTable';

/** What a definition says of itself: its name with its folder, and everything it exposes or could. */
export function ComponentValues({ component }: { component: ComponentDoc }): ReactNode {
  const { id, name } = component;
  return (
    <>
      <div className="ledger-head">
        <span className="quiet">name, after its folder</span>
        <DraftField
          label="Name of the component"
          stored={name}
          edit={(typed) => ({ name: 'nameComponent', args: { component: id, name: typed } })}
        />
      </div>
      <ExposeTable key={id} component={component} />
    </>
  );
}
