import type { ReactNode } from 'react';
import { widthsOf } from '@sormet/core/style';
import { useDerived } from '../site/SiteProvider';
import { benchActions } from '../store/bench-slice';
import { useApp, useAppDispatch } from '../store/store';
import { BASE_WIDTH } from './Canvas';
import './WidthChoice.css';

/** At which width of the site things are drawn and declared. */
export function WidthChoice(): ReactNode {
  const { documents } = useDerived();
  const dispatch = useAppDispatch();
  const width = useApp((state) => state.bench.width);
  return (
    <div className="bar-widths" role="radiogroup" aria-label="Width">
      {widthsOf(documents.site).map(({ id, max }) => (
        <button
          key={id}
          type="button"
          role="radio"
          aria-checked={id === width}
          aria-label={id === 'base' ? `Base, ${BASE_WIDTH}` : `${max} and below`}
          onClick={() => dispatch(benchActions.setWidth(id))}
        >
          {id === 'base' ? BASE_WIDTH : max}
        </button>
      ))}
    </div>
  );
}
