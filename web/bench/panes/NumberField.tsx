import { useRef, useState, type ReactNode } from 'react';

/** A number in a line of words: taken when it is done, by Enter or by leaving it; Escape drops what was typed. */
export function NumberField({
  label,
  title,
  shown,
  onGive,
}: {
  label: string;
  title: string;
  shown: number;
  /** Told what was typed, `null` for nothing; what is no number of use is for whoever is told to leave. */
  onGive: (typed: number | null) => void;
}): ReactNode {
  const [draft, setDraft] = useState<string | null>(null);
  const isDropped = useRef(false);
  /** Whichever key ends it, the field is left: there it is decided once. */
  const leave = () => {
    const dropped = isDropped.current;
    isDropped.current = false;
    setDraft(null);
    if (draft === null || dropped) return;
    onGive(draft.trim() === '' ? null : Number(draft.replace('%', '')));
  };
  return (
    <input
      className="plain-field"
      inputMode="numeric"
      aria-label={label}
      title={title}
      value={draft ?? String(shown)}
      onFocus={({ target }) => target.select()}
      onChange={({ target }) => setDraft(target.value)}
      onBlur={leave}
      onKeyDown={({ key, currentTarget }) => {
        isDropped.current = key === 'Escape';
        if (key === 'Enter' || key === 'Escape') currentTarget.blur();
      }}
    />
  );
}
