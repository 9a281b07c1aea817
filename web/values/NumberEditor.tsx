import type { ReactNode } from 'react';
import { useDraft } from '../parts/use-draft';
import { Wrong } from '../parts/Wrong';
import { useSayLost } from './use-say-lost';
import { useDerived } from '../site/SiteProvider';
import type { EditorProps } from './editor-props';
import { numberText, readNumber } from './read-number';

/**
 * A number as the language of the site writes it, shown as soon as it is one; the arrows step it by one, the wheel never.
 * What is none stays as it was typed, and is said.
 */
export function NumberEditor({ value, label, onChange, placeholder }: EditorProps): ReactNode {
  const { documents } = useDerived();
  const sayLost = useSayLost();
  const { language } = documents.site;
  const held = value?.type === 'number' ? value.value : null;
  const stored = held === null ? '' : numberText(held, language);
  const give = (typed: string): string => {
    const read = typed === '' ? null : readNumber(typed, language);
    if (read === undefined) return `“${typed}” is no number.`;
    onChange({ type: 'number', value: read }, null);
    return '';
  };
  const { draft, wrong, type, commit, drop } = useDraft(label, stored, give, sayLost);
  /** What is a number already shows at once; what is none yet may become one. */
  const show = (text: string) => {
    type(text);
    const read = readNumber(text, language);
    if (read !== undefined && read !== held) onChange({ type: 'number', value: read }, label);
  };
  return (
    <span className="draft-field">
      <input
        className="plain-field"
        inputMode="decimal"
        aria-label={label}
        aria-invalid={wrong !== ''}
        value={draft ?? stored}
        placeholder={placeholder}
        onChange={({ target }) => show(target.value)}
        onBlur={commit}
        onKeyDown={(event) => {
          if (event.key === 'Enter') commit();
          if (event.key === 'Escape') drop();
          const by = event.key === 'ArrowUp' ? 1 : event.key === 'ArrowDown' ? -1 : 0;
          const now = readNumber(draft ?? stored, language);
          if (by === 0 || now === undefined) return;
          event.preventDefault();
          // Without what such sums leave behind the digits that anybody types.
          show(numberText(Number((now + by).toFixed(9)), language));
        }}
      />
      <Wrong words={wrong} />
    </span>
  );
}
