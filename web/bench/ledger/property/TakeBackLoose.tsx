import type { ReactNode } from 'react';
import { Button, Popconfirm } from 'antd';
import { inOrder, type ComponentDoc } from '@sormet/core/model';
import { useTakingBack } from './TakeBack';
import { count } from '../../words';
import { unconnected } from './unconnected';

/** Takes back all properties at once that nothing in the definition reads, named before. */
export function TakeBackLoose({ component }: { component: ComponentDoc }): ReactNode {
  const { takeBack, asked } = useTakingBack(component);
  const loose = unconnected(component);
  const found = inOrder(component.properties).filter(([id]) => loose.has(id));
  if (found.length === 0) return null;
  return (
    <>
      <Popconfirm
        title={`Take back ${count(found.length, 'property', 'properties')} that nothing is connected to?`}
        description={found.map(([, { label }]) => label).join(', ')}
        okText="Take back"
        cancelText="Leave them"
        onConfirm={() => takeBack(found.map(([id]) => id))}
      >
        <Button size="small">Take back the {found.length} not connected …</Button>
      </Popconfirm>
      {asked}
    </>
  );
}
