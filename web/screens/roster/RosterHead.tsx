import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { Input, Select } from 'antd';
import type { ComponentDoc } from '@sormet/core/model';
import { useSync } from '../../site/SiteProvider';
import { ExchangeAll } from '../library/ExchangeAll';
import type { Looking } from './use-roster';

/** What the roster is of, and which of its rows are looked at. */
export function RosterHead({
  component,
  looking,
  onLook,
}: {
  component: ComponentDoc;
  looking: Looking;
  onLook: (looking: Looking) => void;
}): ReactNode {
  const { site } = useSync();
  return (
    <div className="screen-head">
      <h1>
        {component.name} <span className="quiet">roster</span>
      </h1>
      <span className="screen-acts">
        <Input
          size="small"
          className="search"
          aria-label="Find in the roster"
          placeholder="find"
          value={looking.filter}
          onChange={({ target }) => onLook({ ...looking, filter: target.value })}
        />
        <Select
          size="small"
          aria-label="Only rows with"
          value={looking.standing}
          popupMatchSelectWidth={false}
          options={[
            { value: 'any', label: 'all rows' },
            { value: 'set', label: 'something set here' },
            { value: 'bound', label: 'something bound' },
            { value: 'default', label: 'something left at the default' },
          ]}
          onChange={(standing) => onLook({ ...looking, standing })}
        />
        <ExchangeAll component={component} />
        <Link to={`/sites/${site}/bench/${component.id}`}>The definition</Link>
      </span>
    </div>
  );
}
