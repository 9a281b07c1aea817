import type { ReactNode } from 'react';
import type { State } from '@sormet/core/model';
import { ruleKey } from '../../canvas/rule-key';
import type { CellValue } from './cell-value';
import type { RuleWords } from './rule-words';

/** Which other rule a cell has to do with: the one that says what shows, or the one that is the stronger. */
export function OtherRule({
  value: { elsewhere, loses, isOfRest },
  state,
  words,
  onLight,
}: {
  value: CellValue;
  state: State | undefined;
  words: RuleWords;
  onLight: (key: string) => void;
}): ReactNode {
  if (elsewhere)
    return (
      <span className="origin" title={words.word(elsewhere.origin)}>
        {state && isOfRest ? 'rest' : words.short(elsewhere.origin)}
      </span>
    );
  if (!loses) return null;
  return (
    <button
      type="button"
      className="origin loses"
      title={`${words.word(loses)} says otherwise, and is the stronger`}
      onClick={() => onLight(ruleKey(loses))}
    >
      loses to {words.short(loses)}
    </button>
  );
}
