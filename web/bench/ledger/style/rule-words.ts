import { docOf, own, treeDocOf, type TreeDoc } from '@sormet/core/model';
import type { Origin } from '@sormet/core/style';
import { useDerived } from '../../../site/SiteProvider';
import type { Selected } from '../../use-selected';
import { componentWords } from '../../words';

/** What a rule is called, and how many of what it reaches. */
export interface RuleWords {
  readonly word: string;
  readonly reach: number;
  readonly unit: string;
}

/** What a rule is called in the chain: the tag, the definition, here. */
export function useRuleWords(selected: Selected | undefined): (origin: Origin) => RuleWords {
  const { documents, reach } = useDerived();
  return (origin) => {
    if (origin.is === 'tag') {
      let uses = 0;
      for (const doc of [...documents])
        if (doc.kind === 'page' || doc.kind === 'component')
          for (const node of Object.values(doc.nodes))
            if (node.kind === 'element' && node.tag === origin.tag) uses += 1;
      return { word: `${origin.tag} tag`, reach: uses, unit: 'element' };
    }
    if (origin.is === 'shared')
      return {
        word: docOf(documents, 'style', origin.doc)?.name ?? 'a style that is gone',
        reach: reach.usesOf(origin.doc).length,
        unit: 'element',
      };
    if (origin.doc === selected?.doc.id && selected.doc.kind === 'page')
      return { word: 'here', reach: 1, unit: 'place' };
    const doc = treeDocOf(documents, origin.doc);
    const places =
      doc?.kind === 'component'
        ? reach.answer(doc.id).instances.filter(({ kind }) => kind === 'places').length
        : 1;
    const own = origin.doc === selected?.doc.id;
    const definition = own
      ? 'this definition'
      : `definition of ${componentWords(documents, origin.doc)}`;
    return {
      word: origin.is === 'rule' ? `${definition} · ${ruleWords(doc, origin.rule)}` : definition,
      reach: places,
      unit: 'instance',
    };
  };
}

/** When a rule holds, in words: the options it asks for, and the state. */
function ruleWords(doc: TreeDoc | undefined, rule: string): string {
  const stored = doc?.kind === 'component' ? own(doc.rules, rule) : undefined;
  if (doc?.kind !== 'component' || !stored) return 'a rule that is gone';
  const options = Object.entries(stored.when.axes).map(([property, option]) => {
    const type = own(doc.properties, property)?.type;
    return (
      (type?.kind === 'choice' && own(type.options, option)?.label) || 'an option that is gone'
    );
  });
  return [...options, stored.when.pseudo?.is ?? ''].filter(Boolean).join(', ') || 'always';
}
