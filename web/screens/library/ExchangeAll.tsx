import { useState, type ReactNode } from 'react';
import { Button } from 'antd';
import { newId, type ComponentDoc } from '@sormet/core/model';
import { rosterOf, type NamedEdit } from '@sormet/core/edit';
import { Exchange, Matches } from '../../bench/actions/Exchange';
import { useDerived, useSync } from '../../site/SiteProvider';
import { count, refusalWords } from '../../words';

/** How many instances one edit exchanges. */
const MOST_AT_ONCE = 1000;

/** Puts another component in the place of every instance of one, as one step; the component itself stays. */
export function ExchangeAll({ component }: { component: ComponentDoc }): ReactNode {
  const { documents, reach } = useDerived();
  const [open, setOpen] = useState(false);
  const places = reach.usesOf(component.id).filter(({ kind }) => kind === 'places');
  if (places.length === 0 || documents.site.surround === component.id) return null;
  return (
    <>
      <Button
        size="small"
        type="text"
        aria-label={`exchange all of ${component.name} for another component`}
        title="Put another component in the place of all its instances"
        onClick={() => setOpen(true)}
      >
        exchange
      </Button>
      {open ? (
        <Exchanging component={component} places={places} onClose={() => setOpen(false)} />
      ) : null}
    </>
  );
}

function Exchanging({
  component,
  places,
  onClose,
}: {
  component: ComponentDoc;
  places: readonly { readonly from: string; readonly node: string }[];
  onClose: () => void;
}): ReactNode {
  const { documents } = useDerived();
  const sync = useSync();
  const [wrong, setWrong] = useState('');
  const instances = rosterOf(documents, places).map(({ doc, node }) => ({ doc, node }));
  const exchange = (to: string) => {
    const edits: NamedEdit[] = [];
    for (let at = 0; at < instances.length; at += MOST_AT_ONCE)
      edits.push({
        name: 'exchangeInstances',
        args: { instances: instances.slice(at, at + MOST_AT_ONCE), component: to },
      });
    const refusal = sync.attemptAll(edits, { group: `exchange all ${newId()}` });
    if (refusal) setWrong(refusalWords(refusal));
    else onClose();
  };
  return (
    <Exchange
      title={`Put another component in the place of ${count(instances.length, 'instance')} of ${component.name}`}
      without={component.id}
      matches={(to) => <Matches from={component} to={to} />}
      wrong={wrong}
      onDo={exchange}
      onClose={onClose}
    />
  );
}
