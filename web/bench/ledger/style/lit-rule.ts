import type { AppliedBlock, Origin } from '@sormet/core/style';
import type { Selected } from '../../use-selected';

/** A rule's key in the chain. */
export function ruleKey(origin: Origin): string {
  switch (origin.is) {
    case 'tag':
      return `tag ${origin.tag}`;
    case 'node':
      return `${origin.doc} ${origin.node}`;
    case 'shared':
      return `shared ${origin.doc}`;
    case 'rule':
      return `rule ${origin.doc} ${origin.rule} ${origin.node}`;
  }
}

/** The rule that typing goes to: the one that is lit, else the nearest to the page. */
export function litRule(selected: Selected, lit: string | null): AppliedBlock | undefined {
  return (
    selected.rules.find(({ origin }) => ruleKey(origin) === lit) ??
    // The nearest to the page that always holds: what a rule says holds only in some variants or states.
    selected.rules.filter(({ origin }) => origin.is !== 'rule').at(-1)
  );
}
