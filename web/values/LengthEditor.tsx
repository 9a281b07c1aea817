import { useState, type ReactNode } from 'react';
import { kindOf, lengthCss, own, TOKEN_GROUPS, type LengthValue } from '@sormet/core/model';
import { arithmetic, inOtherUnit } from '@sormet/core/style';
import { useDerived } from '../site/SiteProvider';
import type { EditorProps } from './editor-props';
import { useDraft } from '../parts/use-draft';
import { Wrong } from '../parts/Wrong';

/** A length as people type it: a number with its unit, a sum, a token of the site by its name. */
export function LengthEditor({ value, label, onChange, placeholder }: EditorProps): ReactNode {
  const { documents } = useDerived();
  const { tokens } = documents.tokens;
  const [here, setHere] = useState(false);
  const given = value?.type === 'length' ? value.value : null;
  const words = given === null ? '' : wordsOf(given, (id) => own(tokens, id)?.name);
  const named = Object.entries(tokens).filter(([, { type }]) => type === TOKEN_GROUPS.space.type);
  const give = (typed: string): string => {
    const text = typed.trim();
    if (text === '') {
      onChange({ type: 'length', value: null }, null);
      return '';
    }
    const token = named.find(([, { name }]) => name.toLowerCase() === text.toLowerCase());
    const read: LengthValue | null = token ? { token: token[0] } : readLength(text);
    if (!read)
      return 'A length is a number with a unit: 1.25rem, 60ch, 20/16rem, calc(1rem + 2vw).';
    onChange({ type: 'length', value: read }, null);
    return '';
  };
  const { draft, wrong, type, commit, drop } = useDraft(label, words, give, () => undefined);
  const other = here && draft === null ? inOtherUnit(words) : undefined;
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
        onKeyDown={({ key }) => {
          if (key === 'Enter') commit();
          if (key === 'Escape') drop();
        }}
      />
      {other ? (
        <button
          type="button"
          className="as-link"
          aria-label={`${label}: write ${other}`}
          title={`The same at the size of the root: write ${other}`}
          onMouseDown={(event) => event.preventDefault()}
          onClick={() => give(other)}
        >
          = {other}
        </button>
      ) : null}
      <Wrong words={wrong} />
    </span>
  );
}

/** A length as it was typed; a number alone is one of px, as in the cells of styles. */
export function readLength(typed: string): LengthValue | null {
  const summed = arithmetic(typed) ?? typed;
  const whole = /^-?(\d+\.?\d*|\.\d+)$/.test(summed) ? `${summed}px` : summed;
  return kindOf('length').parse?.(whole, { kind: 'length' }) as LengthValue | null;
}

function wordsOf(length: LengthValue, tokenName: (id: string) => string | undefined): string {
  return 'token' in length
    ? (tokenName(length.token) ?? 'a token that is gone')
    : lengthCss(length);
}
