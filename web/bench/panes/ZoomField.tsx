import type { ReactNode } from 'react';
import { benchActions, LARGEST, SMALLEST } from '../../store/bench-slice';
import { useApp, useAppDispatch } from '../../store/store';
import { NumberField } from './NumberField';

/** At which share of its full size something is drawn: the one that fits the pane, or a typed one; empty goes back. */
export function ZoomField({
  kind,
  scale,
}: {
  kind: 'page' | 'definition';
  scale: number;
}): ReactNode {
  const dispatch = useAppDispatch();
  const chosen = useApp((state) => state.bench.zoom[kind]);
  const zoom = (share: number | null) => dispatch(benchActions.setZoom({ [kind]: share }));
  return (
    <label className="zoom-field">
      <NumberField
        label={`Size of the ${kind}, in percent`}
        title={`${SMALLEST * 100} to ${LARGEST * 100} percent; empty for the size that fits`}
        shown={Math.round(scale * 100)}
        onGive={(typed) => {
          const share = typed === null ? null : typed / 100;
          if (share === null || (share >= SMALLEST && share <= LARGEST)) zoom(share);
        }}
      />
      %
      {chosen === null ? null : (
        <button type="button" className="as-link" onClick={() => zoom(null)}>
          fit
        </button>
      )}
    </label>
  );
}
