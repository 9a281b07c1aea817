import { useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import { Button, Radio } from 'antd';
import { allOf, docOf, newId, nodeIn, type ComponentDoc } from '@sormet/core/model';
import { nodeName, rosterOf, type NamedEdit } from '@sormet/core/edit';
import { Matches } from '../../bench/actions/Exchange';
import { plainEdit } from '../../bench/actions/use-instances';
import { count, documentWords, refusalWords } from '../../words';
import { Dialog } from '../../parts/Dialog';
import { useDerived, useSync } from '../../site/SiteProvider';
import { ChoiceCell } from '../../parts/ChoiceCell';

type Way = 'plain' | 'exchange' | 'remove';

/** How many places are listed. */
const LISTED = 12;

/**
 * Removes a component. One that is placed is not removed blindly: where it stands is seen, and what becomes of its
 * instances is chosen; all of it is one step to take back.
 */
export function RemoveComponent({ component }: { component: ComponentDoc }): ReactNode {
  const { documents, reach } = useDerived();
  const [open, setOpen] = useState(false);
  const places = reach.usesOf(component.id).filter(({ kind }) => kind === 'places');
  if (documents.site.surround === component.id) return null;
  return (
    <>
      <Button size="small" type="text" onClick={() => setOpen(true)}>
        remove
      </Button>
      {open ? (
        <Removing component={component} places={places} onClose={() => setOpen(false)} />
      ) : null}
    </>
  );
}

function Removing({
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
  const [way, setWay] = useState<Way | null>(null);
  const [to, setTo] = useState<string | undefined>(undefined);
  const [wrong, setWrong] = useState('');
  const rows = rosterOf(documents, places);
  const ready = rows.length === 0 || (way !== null && (way !== 'exchange' || to !== undefined));
  const remove = () => {
    const edits: NamedEdit[] =
      rows.length === 0
        ? []
        : way === 'exchange'
          ? [
              {
                name: 'exchangeInstances',
                args: {
                  instances: rows.map(({ doc, node }) => ({ doc, node })),
                  component: to!,
                },
              },
            ]
          : rows.map(({ doc, node }): NamedEdit =>
              way === 'plain'
                ? plainEdit(documents, doc, node, component).edit
                : { name: 'remove', args: { doc, nodes: [node] } },
            );
    const refusal = sync.attemptAll(
      [...edits, { name: 'removeComponent', args: { component: component.id } }],
      { group: `remove component ${newId()}` },
    );
    if (refusal) return setWrong(refusalWords(refusal));
    onClose();
  };
  return (
    <Dialog
      open
      width={560}
      title={`Remove ${component.name}`}
      okText="Remove it"
      okButtonProps={{ disabled: !ready, danger: true }}
      cancelText="Keep it"
      onOk={remove}
      onCancel={onClose}
    >
      {rows.length === 0 ? (
        <p>Nothing places it. Undo brings it back.</p>
      ) : (
        <>
          <p>It is placed {count(rows.length, 'time')}:</p>
          <ul className="removing-places">
            {rows.slice(0, LISTED).map(({ doc, node }) => {
              const stored = nodeIn(documents, doc, node);
              return (
                <li key={`${doc} ${node}`}>
                  <Link to={`/sites/${sync.site}/bench/${doc}#${node}`}>
                    {documentWords(documents, doc)}
                  </Link>
                  {stored ? `, ${nodeName(documents, stored)}` : ''}
                </li>
              );
            })}
          </ul>
          {rows.length > LISTED ? <p>and {rows.length - LISTED} more</p> : null}
          <Radio.Group
            aria-label="What becomes of its instances"
            value={way}
            onChange={({ target }) => {
              setWay(target.value as Way);
              setWrong('');
            }}
            options={[
              { value: 'plain', label: 'make them plain elements' },
              { value: 'exchange', label: 'put another component in their place' },
              { value: 'remove', label: 'remove them, too' },
            ]}
          />
          {way === 'exchange' ? (
            <>
              <ChoiceCell
                label="What comes in their place"
                chosen={to}
                placeholder="choose a component"
                options={allOf(documents, 'component')
                  .filter(({ id }) => id !== component.id && id !== documents.site.surround)
                  .map(({ id, name }) => ({ value: id, label: name }))}
                onChoose={setTo}
              />
              <Matches
                from={docOf(documents, 'component', component.id) ?? component}
                to={to === undefined ? undefined : docOf(documents, 'component', to)}
              />
            </>
          ) : null}
          <p className="quiet">One undo brings all of it back.</p>
        </>
      )}
      {wrong ? <p role="alert">Not removed: {wrong}</p> : null}
    </Dialog>
  );
}
