import { useState, type ReactNode } from 'react';

/** The widths at which a definition can be drawn, in CSS px. */
export const NARROWEST = 240;
const WIDEST = 2560;

/** At which width a definition is drawn: worked out from the room there is, or the one that is typed; empty goes back. */
export function DrawnAt({
  width,
  chosen,
  onChoose,
}: {
  width: number;
  chosen: number | null;
  onChoose: (width: number | null) => void;
}): ReactNode {
  const [draft, setDraft] = useState<string | null>(null);
  const give = () => {
    if (draft === null) return;
    const typed = Math.round(Number(draft));
    setDraft(null);
    if (draft.trim() === '') onChoose(null);
    else if (typed >= NARROWEST && typed <= WIDEST) onChoose(typed);
  };
  return (
    <label className="drawn-at">
      <span className="drawn-words">drawn at</span>
      <input
        className="plain-field"
        inputMode="numeric"
        aria-label="Width at which the definition is drawn"
        title={`${NARROWEST} to ${WIDEST} px; empty for the width that fits`}
        value={draft ?? String(chosen ?? width)}
        onFocus={({ target }) => target.select()}
        onChange={({ target }) => setDraft(target.value)}
        onBlur={give}
        onKeyDown={({ key, currentTarget }) => {
          if (key === 'Enter') give();
          if (key === 'Escape') setDraft(null);
          if (key === 'Enter' || key === 'Escape') currentTarget.blur();
        }}
      />
    </label>
  );
}
