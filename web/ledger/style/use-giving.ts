import type { State } from '@sormet/core/model';
import { readValue, type AppliedBlock, type Width } from '@sormet/core/style';
import { useDerived, useSync } from '../../site/SiteProvider';
import { refusalWords, sentence } from '../../words';
import type { Selected } from '../use-selected';
import { declaring } from './declaring';
import { oneStep, ruleFirst } from './picked';

/** Where declarations go. */
interface Place {
  readonly selected: Selected;
  readonly rule: AppliedBlock;
  readonly width: Width;
  readonly state: State | undefined;
}

/** Declares a property as people type it, nothing for the empty text. @returns why it cannot be, or nothing */
export type Give = (property: string, typed: string, group?: string) => string;

/** Declares in a rule, at one width and in one state, of all that is selected. */
export function useGiving({ selected, rule, width, state }: Place): Give {
  const { documents } = useDerived();
  const sync = useSync();
  return (property, typed, group) => {
    const read = typed === '' ? undefined : readValue(property, typed, documents.tokens.tokens);
    if (read && !read.ok) return sentence(read.reason);
    const target = { origin: rule.origin, width, state, nodes: selected.all };
    const declared = declaring(target, property, read ?? { css: null });
    if (declared.length === 0) return '';
    const edits = [...ruleFirst(selected.picked, rule.origin), ...declared];
    return refusalWords(
      edits.length === 1
        ? sync.attempt(edits[0]!, group === undefined ? undefined : { group })
        : sync.attemptAll(edits, oneStep(group)),
    );
  };
}
