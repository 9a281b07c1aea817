import { useState, type ReactNode } from 'react';
import { Wrong } from '../../../parts/Wrong';

const SIDES = ['top', 'right', 'bottom', 'left'] as const;

/** A box with a field on each of its sides: room within it (padding) or around it (margin). */
export function Sides({
  property,
  valueOf,
  give,
}: {
  property: 'padding' | 'margin';
  /** What a longhand is declared as, as people read it. */
  valueOf: (longhand: string) => string | undefined;
  /** Declares a longhand. @returns why it cannot be, or nothing */
  give: (longhand: string, typed: string) => string;
}): ReactNode {
  return (
    <div className={`sides is-${property}`} role="group" aria-label={`${property}, side by side`}>
      {SIDES.map((side, i) => (
        <Side
          key={side}
          side={side}
          first={i === 0}
          stored={valueOf(`${property}-${side}`) ?? ''}
          give={(typed) => give(`${property}-${side}`, typed)}
        />
      ))}
      <span className="sides-box" aria-hidden>
        {property === 'padding' ? 'room within' : 'room around'}
      </span>
    </div>
  );
}

function Side({
  side,
  first,
  stored,
  give,
}: {
  side: (typeof SIDES)[number];
  first: boolean;
  stored: string;
  give: (typed: string) => string;
}): ReactNode {
  const [draft, setDraft] = useState<string | null>(null);
  const [wrong, setWrong] = useState('');
  const commit = () => {
    if (draft === null || draft === stored) return setDraft(null);
    const reason = give(draft);
    setWrong(reason);
    if (!reason) setDraft(null);
  };
  return (
    <span className={`side side-${side}`}>
      <input
        className="plain-field mono"
        aria-label={side}
        aria-invalid={wrong !== ''}
        data-first={first ? true : undefined}
        placeholder="–"
        value={draft ?? stored}
        onChange={({ target }) => setDraft(target.value)}
        onBlur={commit}
        onKeyDown={(event) => {
          if (event.key === 'Enter') commit();
          if (event.key === 'Escape' && draft !== null) {
            event.stopPropagation();
            setDraft(null);
            setWrong('');
          }
        }}
      />
      <Wrong words={wrong} />
    </span>
  );
}
