import type { ReactNode } from 'react';
import { literal, own, type Typed } from '@sormet/core/model';
import type { Selected } from '../../ledger/use-selected';
import { useDerived, useSync } from '../../site/SiteProvider';
import { useBench } from '../../store/store';
import { sourceWords } from '../../values/source-words';
import { count } from '../../words';
import { axesOfDefinition } from './axes-of';
import { AxisRow } from './AxisRow';

/** How many axes have room beside the sentence. */
const MOST = 2;

/** The variants of the instance that is selected, to be picked where one looks first; more of them stand in its values. */
export function Picking({ selected }: { selected: Selected }): ReactNode {
  const { documents } = useDerived();
  const sync = useSync();
  const { width } = useBench('width');
  const { component, node, doc, id } = selected;
  if (!component || node.kind !== 'instance' || selected.count > 1) return null;
  const axes = axesOfDefinition(component);
  if (axes.length === 0) return null;
  return (
    <span className="picking">
      {axes.slice(0, MOST).map((axis) => {
        const source = own(node.values, axis.id);
        const isGiven = source !== undefined && source.is !== 'value';
        if (isGiven)
          return (
            <span key={axis.id} className="quiet">
              {axis.label}: {sourceWords(documents, doc, source)}
            </span>
          );
        const set = source as Typed | undefined;
        const option = set?.type === 'choice' ? set.value : null;
        return (
          <AxisRow
            key={axis.id}
            axis={axis}
            name={`${axis.label} of this instance`}
            chosen={option ?? axis.base ?? undefined}
            onChoose={(next) =>
              sync.edit({
                name: 'setControl',
                args: {
                  doc: doc.id,
                  node: id,
                  control: { of: 'value', property: axis.id },
                  // The base is what an instance has that says nothing; a variant of what is around says it aloud.
                  source:
                    next === axis.base && !selected.picked
                      ? null
                      : literal({ type: 'choice', value: next }),
                },
              })
            }
          />
        );
      })}
      {axes.length > MOST ? (
        <span className="quiet">{count(axes.length - MOST, 'more choice')} below</span>
      ) : null}
      {width === 'base' ? null : <span className="quiet">at all widths</span>}
    </span>
  );
}
