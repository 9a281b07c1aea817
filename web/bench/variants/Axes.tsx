import type { ReactNode } from 'react';
import { own, type ComponentDoc } from '@sormet/core/model';
import { pickedOf } from '../../ledger/style/picked';
import { useDerived } from '../../site/SiteProvider';
import { benchActions } from '../../store/bench-slice';
import { useApp, useAppDispatch } from '../../store/store';
import { StatesLine } from '../states/HeldHere';
import { asLit, axesOfDefinition } from './axes-of';
import { AxisActs } from './AxisActs';
import { AxisRow } from './AxisRow';
import { Differences } from './Differences';
import { OrderedVariants } from './OrderedVariants';
import { VariantStrip } from './VariantStrip';

/**
 * The axes of a definition, each with its options: a press lights one, and what is edited then is said of it alone. On demand
 * all of them stand side by side.
 */
export function Axes({
  definition,
  isAlone,
}: {
  definition: ComponentDoc;
  /** Whether the definition is what is open: then the variants stand side by side unless somebody said otherwise. */
  isAlone: boolean;
}): ReactNode {
  const { documents } = useDerived();
  const dispatch = useAppDispatch();
  const picks = useApp(({ bench }) => bench.picks);
  const strip = useApp(({ bench }) => bench.strip) ?? isAlone;
  const doc = definition.id;
  const lit = picks?.doc === doc ? picks.axes : {};
  const axes = axesOfDefinition(definition);
  if (axes.length === 0) return <StatesLine definition={definition} />;
  const picked = picks?.doc === doc ? pickedOf(definition, lit, picks.rule) : undefined;
  return (
    <OrderedVariants definition={definition} axes={axes}>
      <div className="axes">
        {axes.map((axis) => {
          const chosen = own(lit, axis.id) ?? axis.base ?? undefined;
          return (
            <span key={axis.id} className="axis-with-acts">
              <AxisRow
                isOrdered
                axis={axis}
                name={`Variants: ${axis.label}`}
                chosen={chosen}
                onChoose={(option) => {
                  const next = { ...lit, [axis.id]: option };
                  dispatch(benchActions.pickAll({ doc, axes: asLit(definition, next) }));
                }}
              />
              <AxisActs definition={definition} axis={axis} chosen={chosen} axes={axes} />
            </span>
          );
        })}
        {picked ? (
          <>
            <Differences documents={documents} definition={definition} picked={picked} />
            <span
              className="quiet axes-in-all"
              title="All variants have the same elements in the same places; a variant can hide one."
            >
              placed, moved, removed: in all variants
            </span>
          </>
        ) : null}
        <button
          type="button"
          className="as-link axes-strip"
          onClick={() => dispatch(benchActions.showStrip(!strip))}
        >
          {strip ? 'one variant at a time' : 'variants side by side'}
        </button>
      </div>
      <StatesLine definition={definition} />
      {strip ? <VariantStrip definition={definition} /> : null}
    </OrderedVariants>
  );
}
