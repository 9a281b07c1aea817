import { useState, type KeyboardEvent, type ReactNode } from 'react';
import { stepped, steppedToken } from '@sormet/core/style';
import { useDerived } from '../site/SiteProvider';
import type { EditorProps } from './editor-props';
import { readLength, wordsOfLength } from '@sormet/core/format';
import { useDraft } from '../parts/use-draft';
import { UnitMenu } from '../parts/UnitMenu';
import { Wrong } from '../parts/Wrong';

/** A length as people type it: a number with its unit, a sum, a token of the site by its name. */
export function LengthEditor({ value, label, onChange, placeholder }: EditorProps): ReactNode {
  const { documents } = useDerived();
  const { tokens } = documents.tokens;
  const [here, setHere] = useState(false);
  const given = value?.type === 'length' ? value.value : null;
  const words = given === null ? '' : (wordsOfLength(given, tokens) ?? 'a token that is gone');
  const give = (typed: string): string => {
    const text = typed.trim();
    if (text === '') {
      onChange({ type: 'length', value: null }, null);
      return '';
    }
    const read = readLength(text, tokens);
    if (!read)
      return 'A length is a number with a unit: 1.25rem, 60ch, 20/16rem, calc(1rem + 2vw).';
    onChange({ type: 'length', value: read }, null);
    return '';
  };
  const { draft, wrong, type, commit, drop } = useDraft(label, words, give, () => undefined);
  /** Steps the number at the cursor (Shift: ten, Alt: a tenth), or the token along its scale. */
  const step = (event: KeyboardEvent<HTMLInputElement>) => {
    const sign = event.key === 'ArrowUp' ? 1 : -1;
    const by = sign * (event.shiftKey ? 10 : event.altKey ? 0.1 : 1);
    const text = draft ?? words;
    const at = event.currentTarget.selectionStart ?? 0;
    const next = steppedToken(text, sign, tokens) ?? stepped(text, at, by)?.text;
    if (next === undefined) return;
    event.preventDefault();
    type(next);
  };
  return (
    <span
      className="draft-field length-editor"
      onFocus={() => setHere(true)}
      onBlur={({ currentTarget, relatedTarget }) => {
        if (!currentTarget.contains(relatedTarget)) setHere(false);
      }}
    >
      <input
        className="plain-field mono"
        aria-label={label}
        aria-invalid={wrong !== ''}
        placeholder={placeholder}
        value={draft ?? words}
        onChange={({ target }) => type(target.value)}
        onBlur={commit}
        onKeyDown={(event) => {
          if (event.key === 'Enter') commit();
          if (event.key === 'Escape') drop();
          if (event.key === 'ArrowUp' || event.key === 'ArrowDown') step(event);
        }}
      />
      {draft === null ? (
        <UnitMenu here={here} label={label} css={words} onChoose={(css) => give(css)} />
      ) : null}
      <Wrong words={wrong} />
    </span>
  );
}
