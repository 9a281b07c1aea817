import { useState, type ReactNode } from 'react';
import { benchActions, LARGEST, SMALLEST } from '../../store/bench-slice';
import { useApp, useAppDispatch } from '../../store/store';

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
  const [draft, setDraft] = useState<string | null>(null);
  const give = () => {
    if (draft === null) return;
    const typed = Number(draft.replace('%', '')) / 100;
    setDraft(null);
    if (draft.trim() === '') dispatch(benchActions.setZoom({ [kind]: null }));
    else if (typed >= SMALLEST && typed <= LARGEST)
      dispatch(benchActions.setZoom({ [kind]: typed }));
  };
  return (
    <label className="zoom-field">
      <input
        className="plain-field"
        inputMode="numeric"
        aria-label={`Size of the ${kind}, in percent`}
        title={`${SMALLEST * 100} to ${LARGEST * 100} percent; empty for the size that fits`}
        value={draft ?? String(Math.round(scale * 100))}
        onFocus={({ target }) => target.select()}
        onChange={({ target }) => setDraft(target.value)}
        onBlur={give}
        onKeyDown={({ key, currentTarget }) => {
          if (key === 'Enter') give();
          if (key === 'Escape') setDraft(null);
          if (key === 'Enter' || key === 'Escape') currentTarget.blur();
        }}
      />
      %
      {chosen === null ? null : (
        <button
          type="button"
          className="as-link"
          onClick={() => dispatch(benchActions.setZoom({ [kind]: null }))}
        >
          fit
        </button>
      )}
    </label>
  );
}
