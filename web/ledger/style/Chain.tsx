import { useEffect, useRef, type ReactNode } from 'react';
import { GitFork, X } from 'lucide-react';
import type { AppliedBlock, Origin } from '@sormet/core/style';
import { ruleKey } from '../../canvas/rule-key';
import type { Selected } from '../use-selected';
import { IconButton } from '../../parts/IconButton';
import type { RuleWords } from './rule-words';

/** Whose rule it is, by which it is coloured. */
export type RuleKind = 'tag' | 'definition' | 'here';

export function kindOfRule(origin: Origin, { doc }: Selected): RuleKind {
  if (origin.is === 'tag' || origin.is === 'shared' || origin.is === 'theme') return 'tag';
  if (origin.is === 'part') return 'here';
  return origin.doc === doc.id && doc.kind === 'page' ? 'here' : 'definition';
}

/**
 * Every rule that applies, weakest first, each with its reach; the one that is lit is written to. Between them: a shared
 * style that is on what is selected can be taken off.
 */
export function Chain({
  rules,
  lit,
  words,
  kindOf,
  onLight,
  canTakeOff,
  onTakeOff,
  onBranch,
}: {
  rules: readonly AppliedBlock[];
  lit: Origin;
  words: RuleWords;
  kindOf: (origin: Origin) => RuleKind;
  onLight: (key: string) => void;
  canTakeOff: (origin: Origin) => boolean;
  onTakeOff: (style: string) => void;
  /** Makes a style of its own for what is selected, beginning from one that it has. */
  onBranch: (style: string) => void;
}): ReactNode {
  const chain = useRef<HTMLDivElement>(null);
  const key = ruleKey(lit);
  // What is written to is seen, however long the chain.
  useEffect(() => {
    chain.current?.querySelector('.lit')?.scrollIntoView({ block: 'nearest', inline: 'nearest' });
  }, [key]);
  return (
    <div ref={chain} className="chain" role="radiogroup" aria-label="Writing to">
      {rules.map(({ origin }) => {
        const key = ruleKey(origin);
        const isLit = origin === lit;
        const word = words.word(origin);
        const elements = words.reach(origin);
        return (
          <span key={key} className={`chain-part ${isLit ? 'lit' : ''} ${kindOf(origin)}`}>
            <button
              type="button"
              role="radio"
              aria-checked={isLit}
              disabled={origin.is === 'theme'}
              className="chain-link"
              title={`${word}: ${words.whom(origin)}`}
              onClick={() => onLight(key)}
            >
              {word}{' '}
              {elements === undefined ? null : <span className="chain-reach">{elements}</span>}
            </button>
            {origin.is === 'shared' && isLit && canTakeOff(origin) ? (
              <IconButton
                icon={GitFork}
                name={`A style of its own that begins from ${word}`}
                title={`A style of its own that begins from ${word}: what differs is said there`}
                onPress={() => onBranch(origin.doc)}
              />
            ) : null}
            {origin.is === 'shared' && canTakeOff(origin) ? (
              <IconButton
                icon={X}
                name={`Take ${word} off`}
                title={`Take ${word} off what is selected`}
                onPress={() => onTakeOff(origin.doc)}
              />
            ) : null}
          </span>
        );
      })}
    </div>
  );
}
