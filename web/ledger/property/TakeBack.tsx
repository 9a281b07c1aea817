import { useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import { nodeIn, type ComponentDoc, type PropertyId } from '@sormet/core/model';
import { nodeName, whatBecomes, type Becoming } from '@sormet/core/edit';
import { member } from '@sormet/core/reach';
import { Dialog } from '../../parts/Dialog';
import { useDerived, useSync } from '../../site/SiteProvider';
import { valueWords, count, documentWords } from '../../words';

/** How many values are listed of each property. */
const LISTED = 20;

/**
 * Takes properties back: one that no instance sets at once, else only after it was said which they are, and which values
 * show no more.
 * Whoever uses it draws `asked` somewhere.
 */
export function useTakingBack(component: ComponentDoc | undefined): {
  takeBack: (properties: readonly PropertyId[]) => void;
  asked: ReactNode;
} {
  const sync = useSync();
  const { documents, data, reach } = useDerived();
  const [asking, setAsking] = useState<readonly PropertyId[]>([]);
  const set = (property: PropertyId): Becoming[] => {
    if (!component) return [];
    const instances = reach
      .usesOf(member(component.id, property))
      .filter(({ kind, node }) => kind === 'sets' && node !== '');
    const all = whatBecomes(documents, component, property, null, instances, data);
    return all.filter(({ node }) => node !== null);
  };
  const done = (properties: readonly PropertyId[]) =>
    component &&
    sync.edit({
      name: 'unexpose',
      args: { component: component.id, properties: [...properties] },
    });
  return {
    takeBack(properties) {
      if (properties.length > 1 || properties.some((property) => set(property).length > 0))
        setAsking(properties);
      else done(properties);
    },
    asked: component ? (
      <TakeBackDialog
        component={component}
        properties={asking}
        setBy={set}
        onDo={() => done(asking)}
        onClose={() => setAsking([])}
      />
    ) : null,
  };
}

function TakeBackDialog({
  component,
  properties,
  setBy,
  onDo,
  onClose,
}: {
  component: ComponentDoc;
  properties: readonly PropertyId[];
  setBy: (property: PropertyId) => readonly Becoming[];
  onDo: () => void;
  onClose: () => void;
}): ReactNode {
  const { documents } = useDerived();
  const sync = useSync();
  const rows = properties.flatMap((id) => {
    const made = component.properties[id];
    return made ? [{ id, made, values: setBy(id) }] : [];
  });
  const all = rows.reduce((sum, { values }) => sum + values.length, 0);
  const [first] = rows;
  const what =
    rows.length === 1 ? `“${first!.made.label}”` : count(rows.length, 'property', 'properties');
  return (
    <Dialog
      open={rows.length > 0}
      width={620}
      title={`Take back ${what}`}
      okText="Take back"
      cancelText="Leave it"
      onOk={() => {
        onDo();
        onClose();
      }}
      onCancel={onClose}
    >
      {rows.length > 1 ? (
        <p>
          {rows.map(({ made }) => made.label).join(', ')}: what they were connected to holds the
          defaults again.
        </p>
      ) : null}
      <p>
        {all > 0
          ? `${count(all, 'value')} that instances have of their own show no more: the definition’s default shows in their place. `
          : 'No instance has a value of its own. '}
        Nothing that was written is lost: undo brings all of it back.
      </p>
      {rows
        .filter(({ values }) => values.length > 0)
        .map(({ id, made, values }) => (
          <section key={id} aria-label={`Values of ${made.label}`}>
            <h3>
              {made.label}: {count(values.length, 'value')}
            </h3>
            <ul className="becoming">
              {values.slice(0, LISTED).map(({ doc, node, source }) => {
                const stored = nodeIn(documents, doc, node!);
                return (
                  <li key={`${doc} ${node}`}>
                    <Link to={`/sites/${sync.site}/bench/${doc}`}>
                      {stored ? nodeName(documents, stored) : ''} on {documentWords(documents, doc)}
                    </Link>
                    :{' '}
                    <span className="quiet">
                      {source.is === 'value' ? valueWords(documents, source) : 'bound'}
                    </span>
                  </li>
                );
              })}
            </ul>
            {values.length > LISTED ? <p>and {values.length - LISTED} more</p> : null}
          </section>
        ))}
    </Dialog>
  );
}
