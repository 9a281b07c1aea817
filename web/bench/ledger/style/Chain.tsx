import type { ReactNode } from 'react';
import type { AppliedBlock, Origin } from '@sormet/core/style';
import type { Selected } from '../../use-selected';
import { ruleKey } from './lit-rule';
import type { RuleWords } from './rule-words';

/** Whose rule it is, by which it is coloured. */
export type RuleKind = 'tag' | 'definition' | 'here';

export function kindOfRule(origin: Origin, { doc }: Selected): RuleKind {
  if (origin.is === 'tag' || origin.is === 'shared') return 'tag';
  return origin.doc === doc.id && doc.kind === 'page' ? 'here' : 'definition';
}

/** Every rule that applies, weakest first, each with its reach; the one that is lit is written to. */
export function Chain({
  rules,
  lit,
  words,
  kindOf,
  onLight,
}: {
  rules: readonly AppliedBlock[];
  lit: Origin;
  words: RuleWords;
  kindOf: (origin: Origin) => RuleKind;
  onLight: (key: string) => void;
}): ReactNode {
  return (
    <div className="ledger-actions chain" role="radiogroup" aria-label="Writing to">
      <span className="quiet">writing to</span>
      {rules.map(({ origin }) => {
        const key = ruleKey(origin);
        const isLit = origin === lit;
        return (
          <button
            key={key}
            type="button"
            role="radio"
            aria-checked={isLit}
            className={`chain-link ${kindOf(origin)} ${isLit ? 'lit' : ''}`}
            onClick={() => onLight(key)}
          >
            {words.word(origin)} <span className="chain-reach">{words.reach(origin)}</span>
          </button>
        );
      })}
    </div>
  );
}
