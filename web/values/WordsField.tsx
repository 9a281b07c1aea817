import { useRef, type ReactNode } from 'react';
import { newId } from '@sormet/core/model';
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
  onChange,
}: {
  label: string;
  value: string;
  placeholder?: string | undefined;
  maxLength?: number;
  onChange: (value: string, group: string) => void;
}): ReactNode {
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
        onFocus={() => {
          session.current = { stretch: newId(), steps: new WordSteps(value) };
        }}
        onChange={({ target }) => {
          const typed = target.value.replace(/\n/g, ' ');
          const { stretch, steps } = session.current;
          onChange(typed, `${stretch} ${steps.after(typed)}`);
        }}
      />
    </span>
  );
}
