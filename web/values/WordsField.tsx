import { useRef, type ReactNode } from 'react';
import { newId } from '@sormet/core/model';
import { benchActions } from '../store/bench-slice';
import { useAppDispatch } from '../store/store';
import { markingOf, STAYS_PLAIN, type Marked } from './rich/marking';
import { WordSteps } from './word-steps';

/**
 * A text field whose words are steps of their own: one line at rest, as many as it takes over what is below while it
 * is typed into. It is the browser's own field, so that a table of many costs nothing while one of them is typed into.
 */
export function WordsField({
  label,
  value,
  placeholder = '',
  maxLength,
  onMarked,
  onPlace,
  onChange,
}: {
  label: string;
  value: string;
  placeholder?: string | undefined;
  maxLength?: number;
  /** Told of what should have emphasis, a link or a style; without it, that these words stay plain is said. */
  onMarked?: ((marked: Marked) => void) | undefined;
  /** Told of a brace: a value may stand there. Without it, a brace is a letter. */
  onPlace?: ((at: number) => void) | undefined;
  onChange: (value: string, group: string) => void;
}): ReactNode {
  const dispatch = useAppDispatch();
  const session = useRef({ stretch: '', steps: new WordSteps('') });
  return (
    <span className="words-field">
      <textarea
        className="plain-field"
        rows={1}
        aria-label={label}
        value={value}
        placeholder={placeholder}
        maxLength={maxLength}
        title={value}
        // Done with one, Enter goes on to the next: it is no part of the text.
        onKeyDown={(event) => {
          const by = markingOf(event);
          if (by) {
            event.preventDefault();
            event.stopPropagation();
            const { selectionStart: from, selectionEnd: to } = event.currentTarget;
            if (onMarked) onMarked({ by, from, to });
            else dispatch(benchActions.notice(STAYS_PLAIN));
            return;
          }
          if (event.key === '{' && onPlace) {
            event.preventDefault();
            onPlace(event.currentTarget.selectionStart);
            return;
          }
          if (event.key !== 'Enter' || event.nativeEvent.isComposing) return;
          event.preventDefault();
          toNextField(event.currentTarget, event.shiftKey);
        }}
        onFocus={() => {
          session.current = { stretch: newId(), steps: new WordSteps(value) };
        }}
        onChange={({ target }) => {
          const read = target.value.replace(/\n/g, ' ');
          // A space alone says nothing.
          const typed = read.trim() === '' ? '' : read;
          const { stretch, steps } = session.current;
          onChange(typed, `${stretch} ${steps.after(typed)}`);
        }}
      />
    </span>
  );
}

/** Where fields stand that one goes through one after the other. */
const TOGETHER = 'table, .entry-form, [role="dialog"], .ledger-body';

/** Puts the focus into the next field of those that stand together; where there is none, it stays. */
function toNextField(from: HTMLElement, backwards: boolean): void {
  const fields = [
    ...(from.closest(TOGETHER)?.querySelectorAll<HTMLElement>('.plain-field') ?? []),
  ].filter((field) => field.checkVisibility());
  fields[fields.indexOf(from) + (backwards ? -1 : 1)]?.focus();
}
