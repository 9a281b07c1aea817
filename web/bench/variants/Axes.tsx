import type { ReactNode } from 'react';
import { own, type ComponentDoc } from '@sormet/core/model';
import { pickedOf } from '../../ledger/style/picked';
import { useDerived } from '../../site/SiteProvider';
import { benchActions } from '../../store/bench-slice';
import { useApp, useAppDispatch } from '../../store/store';
import { axesOfDefinition } from './axes-of';
import { AxisRow } from './AxisRow';
import { Differences } from './Differences';

/** The axes of a definition, each with its options: a press lights one, and what is typed into the style then is said of it alone. */
export function Axes({ definition }: { definition: ComponentDoc }): ReactNode {
  const { documents } = useDerived();
  const dispatch = useAppDispatch();
  const picks = useApp(({ bench }) => bench.picks);
  const doc = definition.id;
  const lit = picks?.doc === doc ? picks.axes : {};
  const axes = axesOfDefinition(definition);
  if (axes.length === 0) return null;
  const picked = picks?.doc === doc ? pickedOf(definition, lit, picks.rule) : undefined;
  return (
    <div className="axes">
      {axes.map((axis) => (
        <AxisRow
          key={axis.id}
          axis={axis}
          name={`Variants: ${axis.label}`}
          chosen={own(lit, axis.id) ?? axis.base ?? undefined}
          onChoose={(option) =>
            dispatch(
              benchActions.pick({
                doc,
                axis: axis.id,
                option: option === axis.base ? null : option,
              }),
            )
          }
        />
      ))}
      {picked ? (
        <Differences documents={documents} definition={definition} rule={picked.rule} />
      ) : null}
    </div>
  );
}
