import type { ReactNode } from 'react';
import { Undo2 } from 'lucide-react';
import { boundIn, BOOLEAN, literal, type Source, type Typed } from '@sormet/core/model';
import { useDerived, useSync } from '../site/SiteProvider';
import { fieldLabel, fittingFields } from '../values/fields';
import { ValueCell } from '../values/ValueCell';
import type { Selected } from './use-selected';
import { AtBase } from './AtBase';
import { BoundTo } from './BoundTo';
import { IconButton } from '../parts/IconButton';
import { saidByVariant } from './style/picked';
import { holdsAt } from './what-shows';
import { WhereItBegins } from './WhereItBegins';
import { WorkedOut } from './WorkedOut';

/** Whether the instance itself is shown. */
export function ShownRow({ selected }: { selected: Selected }): ReactNode {
  const { documents } = useDerived();
  const sync = useSync();
  const { node, doc, id } = selected;
  if (node.kind !== 'instance') return null;
  const source = node.shown;
  const set = source?.is === 'value' ? (source as Typed) : undefined;
  const bound = boundIn(source);
  const worked = source?.is === 'expression';
  const begins = source?.is === 'begins' ? source : undefined;
  const isVaried = saidByVariant(selected.picked, id, { of: 'shown' }) !== undefined;
  const give = (next: Source | null) =>
    sync.edit({
      name: 'setControl',
      args: { doc: doc.id, node: id, control: { of: 'shown' }, source: next },
    });
  return (
    <tr>
      <th scope="row">shown</th>
      <td className={source ? 'cell default' : 'cell default wins'}>yes</td>
      <td className={`cell set ${set ? 'wins' : ''} ${isVaried ? 'is-varied' : ''}`}>
        <div className="cell-with-actions">
          <ValueCell
            type={BOOLEAN}
            value={set}
            label="shown, set here"
            onChange={(value) => give(literal(value))}
          />
          <AtBase
            selected={selected}
            node={id}
            control={{ of: 'shown' }}
            what="shown"
            onBack={() => give(null)}
          />
          {set && !isVaried ? (
            <span className="cell-actions">
              <IconButton
                icon={Undo2}
                name="shown: back to default"
                title="Back to default"
                onPress={() => give(null)}
              />
            </span>
          ) : null}
        </div>
      </td>
      <td className={bound || worked || begins ? 'cell bound tight wins' : 'cell bound tight'}>
        <div className="bound-with">
          {begins ? (
            <WhereItBegins label="shown" doc={doc} source={begins} onRelease={() => give(null)} />
          ) : worked ? null : (
            <BoundTo
              label="shown"
              fields={() => fittingFields(documents, doc, id, BOOLEAN)}
              bound={bound}
              boundLabel={bound ? fieldLabel(documents, doc, bound) : ''}
              onBind={(next) => give(next)}
              onRelease={() => give(null)}
              whenEmpty={['nothing']}
            />
          )}
          {bound || begins ? null : (
            <WorkedOut
              label="shown"
              doc={doc}
              node={id}
              wanted={BOOLEAN}
              source={source}
              gives={holdsAt(documents, selected, BOOLEAN)}
              onGive={give}
              onRelease={() => give(null)}
            />
          )}
        </div>
      </td>
      <td className="cell shows">
        <span className="shows-row">
          <span className="value-words">{selected.resolved ? 'yes' : 'no'}</span>
          <span className="origin">
            {set ? 'set here' : bound || begins ? 'bound' : worked ? 'worked out' : 'default'}
          </span>
        </span>
      </td>
    </tr>
  );
}
