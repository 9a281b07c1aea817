import { newId, type State } from '@sormet/core/model';
import { readValue, type AppliedBlock, type Width } from '@sormet/core/style';
import { useDerived, useSync } from '../../site/SiteProvider';
import { refusalWords, sentence } from '../../words';
import type { Selected } from '../use-selected';
import { declaring } from './declaring';

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
    // Several are one step, as those are that are dragged or typed without a pause.
    const step = group ?? (declared.length > 1 ? `declared ${newId()}` : null);
    return refusalWords(sync.attemptAll(declared, { group: step }));
  };
}
