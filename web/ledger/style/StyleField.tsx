import { useRef, type KeyboardEvent, type ReactNode } from 'react';
import type { Token } from '@sormet/core/model';
import { stepped, steppedToken } from '@sormet/core/style';
import { OFFERS } from './Offers';

/** By how much an arrow key steps a number (Shift: ten, Alt: a tenth). */
function stepOf({ key, shiftKey, altKey }: KeyboardEvent): number {
  const by = shiftKey ? 10 : altKey ? 0.1 : 1;
  return key === 'ArrowUp' ? by : -by;
}

/** How many letters of a value are seen at most where it is not typed. */
const WIDEST = 22;

/** The field of a cell: values are offered, arrow keys step the number at the cursor. */
export function StyleField({
  label,
  text,
  tokens,
  stepsFrom,
  readOnly,
  placeholder,
  isRepeated,
  isWrong,
  onType,
  onCommit,
  onDrop,
}: {
  label: string;
  text: string;
  tokens: Readonly<Record<string, Token>>;
  /** What is stepped: what stands in the field, else what shows there; and whether the cursor says which number. */
  stepsFrom: { readonly text: string; readonly byCursor: boolean };
  readOnly: boolean;
  placeholder: string;
  /** Whether what shows stands in another column, too. */
  isRepeated: boolean;
  isWrong: boolean;
  onType: (text: string) => void;
  onCommit: () => void;
  onDrop: () => void;
}): ReactNode {
  const field = useRef<HTMLInputElement>(null);
  return (
    <input
      ref={field}
      className="plain-field"
      aria-label={label}
      list={OFFERS}
      value={text}
      readOnly={readOnly}
      placeholder={placeholder}
      // As wide as what it shows, in the letters of the table, which are all of one width.
      style={{
        minWidth: isRepeated
          ? undefined
          : `${Math.min(WIDEST, (text || placeholder).length) + 1}ch`,
      }}
      title={text || placeholder || undefined}
      aria-invalid={isWrong}
      onChange={({ target }) => onType(target.value)}
      onBlur={onCommit}
      onKeyDown={(event) => {
        if (event.key === 'Enter') onCommit();
        if (event.key === 'Escape') onDrop();
        if (event.key !== 'ArrowUp' && event.key !== 'ArrowDown') return;
        const from = stepsFrom.text;
        const at = event.currentTarget.selectionStart ?? from.length;
        const token = steppedToken(from, event.key === 'ArrowUp' ? 1 : -1, tokens);
        if (token !== undefined) {
          event.preventDefault();
          onType(token);
          return;
        }
        const next = stepped(from, stepsFrom.byCursor ? at : 0, stepOf(event));
        if (!next) return;
        event.preventDefault();
        onType(next.text);
        requestAnimationFrame(() => field.current?.setSelectionRange(next.at, next.at));
      }}
    />
  );
}
