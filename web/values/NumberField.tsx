import type { ReactNode } from 'react';
import { useDraft } from '../parts/use-draft';
import { Wrong } from '../parts/Wrong';
import { boundsWords, numberText, readNumber } from './read-number';

/**
 * A number in a dialog, as a language writes it: given as soon as it is one that may be; the arrows step it by one, the
 * wheel never. What may not be stays as it was typed, and is said.
 */
export function NumberField({
  label,
  value = null,
  language,
  least = -Infinity,
  most = Infinity,
  whole = false,
  placeholder,
  first = false,
  lost,
  onChange = () => undefined,
  onWrong = () => undefined,
  onEnter,
}: {
  label: string;
  value?: number | null;
  /** As BCP 47 names it. */
  language: string;
  least?: number;
  most?: number;
  whole?: boolean;
  placeholder?: string;
  /** Whether it has the focus when its dialog opens. */
  first?: boolean;
  /** Told of what was typed and could not be, where the field is gone by then. */
  lost: (typed: string, reason: string) => void;
  onChange?: (value: number | null) => void;
  /** Told whether what is typed may not be. */
  onWrong?: (isWrong: boolean) => void;
  onEnter?: () => void;
}): ReactNode {
  const read = (typed: string): number | null | undefined => {
    if (typed.trim() === '') return null;
    const number = readNumber(typed, language);
    const may = number !== undefined && number >= least && number <= most;
    return may && (!whole || Number.isInteger(number)) ? number : undefined;
  };
  const stored = value === null ? '' : numberText(value, language);
  const give = (typed: string): string => {
    const now = read(typed);
    if (now === undefined) return boundsWords(typed, { least, most, whole }, language);
    if (now !== value) onChange(now);
    return '';
  };
  const { draft, wrong, type, commit, drop } = useDraft(label, stored, give, lost);
  const show = (typed: string) => {
    type(typed);
    const now = read(typed);
    onWrong(now === undefined);
    if (now !== undefined && now !== value) onChange(now);
  };
  return (
    <span className="draft-field number-field">
      <input
        className="plain-field"
        inputMode={whole ? 'numeric' : 'decimal'}
        aria-label={label}
        aria-invalid={wrong !== ''}
        data-first={first ? '' : undefined}
        value={draft ?? stored}
        placeholder={placeholder}
        onChange={({ target }) => show(target.value)}
        onBlur={commit}
        onKeyDown={(event) => {
          if (event.key === 'Enter') {
            commit();
            const now = read(draft ?? stored);
            if (now !== undefined && now !== null) onEnter?.();
            else if (now === undefined) event.preventDefault();
          }
          if (event.key === 'Escape' && draft !== null && wrong !== '') {
            event.stopPropagation();
            drop();
            onWrong(false);
          }
          const by = event.key === 'ArrowUp' ? 1 : event.key === 'ArrowDown' ? -1 : 0;
          const now = readNumber(draft ?? stored, language);
          if (by === 0 || now === undefined) return;
          event.preventDefault();
          // Without what such sums leave behind the digits that anybody types.
          const next = Number(Math.min(most, Math.max(least, now + by)).toFixed(9));
          show(numberText(next, language));
        }}
      />
      <Wrong words={wrong} />
    </span>
  );
}
