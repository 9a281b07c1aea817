import type { AppliedBlock } from '@sormet/core/style';
import { ruleKey } from '../../canvas/rule-key';
import type { Selected } from '../use-selected';

/** The rule that typing goes to: the one that is lit, else the nearest to the page. */
export function litRule(selected: Selected, lit: string | null): AppliedBlock | undefined {
  const written = selected.rules.filter(({ origin }) => origin.is !== 'theme');
  return (
    written.find(({ origin }) => ruleKey(origin) === lit) ??
    // A variant that is lit is what typing goes to.
    written.find(({ origin }) => origin.is === 'rule' && origin.rule === selected.picked?.rule) ??
    // The nearest to the page that always holds: what a rule says holds only in some variants or states.
    written.filter(({ origin }) => origin.is !== 'rule').at(-1)
  );
}

/** Whether what is looked at inside an instance is a part that is styled from there. */
export function isStyledPart({ doc, id, inside }: Selected): boolean {
  return (
    inside?.rules.some(
      ({ origin }) => origin.is === 'part' && origin.doc === doc.id && origin.node === id,
    ) ?? false
  );
}

/** The rule that typing goes to, of what is looked at inside an instance that of a part alone; nothing where nothing is written. */
export function writtenRule(selected: Selected, lit: string | null): AppliedBlock | undefined {
  if (!selected.inside) return litRule(selected, lit);
  return isStyledPart(selected) ? litRule(selected.inside, lit) : undefined;
}
