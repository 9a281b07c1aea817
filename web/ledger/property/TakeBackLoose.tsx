import type { ReactNode } from 'react';
import { unconnected } from '@sormet/core/edit';
import { Button } from 'antd';
import { inOrder, type ComponentDoc } from '@sormet/core/model';
import { useTakingBack } from './TakeBack';

/** Takes back all properties at once that nothing in the definition reads, named before where they are several. */
export function TakeBackLoose({ component }: { component: ComponentDoc }): ReactNode {
  const { takeBack, asked } = useTakingBack(component);
  const loose = unconnected(component);
  const found = inOrder(component.properties).filter(([id]) => loose.has(id));
  if (found.length === 0) return null;
  return (
    <>
      <Button size="small" onClick={() => takeBack(found.map(([id]) => id))}>
        Take back the {found.length} not connected …
      </Button>
      {asked}
    </>
  );
}
