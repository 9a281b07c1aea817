import type { ReactNode } from 'react';
import { NumberField } from './NumberField';

/** The widths at which a definition can be drawn, in CSS px. */
const NARROWEST = 240;
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
  return (
    <label className="drawn-at">
      <span className="drawn-words">drawn at</span>
      <NumberField
        label="Width at which the definition is drawn"
        title={`${NARROWEST} to ${WIDEST} px; empty for the width that fits`}
        shown={chosen ?? width}
        onGive={(typed) => {
          const px = typed === null ? null : Math.round(typed);
          if (px === null || (px >= NARROWEST && px <= WIDEST)) onChoose(px);
        }}
      />
    </label>
  );
}
