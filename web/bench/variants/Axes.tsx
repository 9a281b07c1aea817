import type { ReactNode } from 'react';
import { inOrder, type ComponentDoc } from '@sormet/core/model';
import { benchActions } from '../../store/bench-slice';
import { useApp, useAppDispatch } from '../../store/store';
import { pickedOf } from '../../ledger/style/picked';
import { useDerived } from '../../site/SiteProvider';
import { Differences } from './Differences';
import './Axes.css';

/** The axes of a definition, each with its options: a press lights one, and what is typed into the style then is said of it alone. */
export function Axes({ definition }: { definition: ComponentDoc }): ReactNode {
  const { documents } = useDerived();
  const dispatch = useAppDispatch();
  const picks = useApp(({ bench }) => bench.picks);
  const lit = picks?.doc === definition.id ? picks.axes : {};
  const axes = inOrder(definition.properties).flatMap(([id, { label, type, axis, ...more }]) =>
    axis && type.kind === 'choice' ? [{ id, label, type, base: more.default }] : [],
  );
  if (axes.length === 0) return null;
  const picked = picks?.doc === definition.id ? pickedOf(definition, lit, picks.rule) : undefined;
  return (
    <div className="axes">
      {axes.map(({ id, label, type, base }) => {
        const byDefault = base.is === 'value' && base.type === 'choice' ? base.value : null;
        const options = inOrder(type.options).filter(([, { gone }]) => gone === undefined);
        return (
          <div key={id} className="axis" role="radiogroup" aria-label={`Variants: ${label}`}>
            <span className="quiet">{label}</span>
            {options.map(([option, { label: name }]) => {
              const isBase = option === byDefault;
              const isLit = isBase ? lit[id] === undefined : lit[id] === option;
              return (
                <button
                  key={option}
                  type="button"
                  role="radio"
                  aria-checked={isLit}
                  title={isBase ? `${name}: the base, as it is without a variant` : name}
                  onClick={() =>
                    dispatch(
                      benchActions.pick({
                        doc: definition.id,
                        axis: id,
                        option: isBase ? null : option,
                      }),
                    )
                  }
                >
                  {name}
                  {isBase ? <span className="axis-base"> base</span> : null}
                </button>
              );
            })}
          </div>
        );
      })}
      {picked ? (
        <Differences documents={documents} definition={definition} rule={picked.rule} />
      ) : null}
    </div>
  );
}
