import type { ReactNode } from 'react';
import type { NoEffect } from '@sormet/core/check';
import { sentence } from '../../words';

/** What the declaration that would mend it makes of the element, in words. */
const MENDS: Readonly<Record<string, string>> = {
  'display: grid': 'make it a grid',
  'display: flex': 'make it a row',
  'display: inline-block': 'make it a box',
  'position: relative': 'let it be moved',
  'overflow-x: hidden': 'cut it off',
};

/** That a declaration changes nothing where it stands, why, and the button that mends it. */
export function InVain({
  of: { reason, mend },
  label,
  onMend,
}: {
  of: NoEffect;
  label: string;
  onMend: (property: string, css: string) => void;
}): ReactNode {
  const words = mend && (MENDS[`${mend.property}: ${mend.css}`] ?? `draw a line`);
  return (
    <span className="in-vain">
      {sentence(reason)}
      {mend ? (
        <button
          type="button"
          aria-label={`${label}: ${words}`}
          title={`${mend.property}: ${mend.css}`}
          onClick={() => onMend(mend.property, mend.css)}
        >
          {words}
        </button>
      ) : null}
    </span>
  );
}
