import {
  docOf,
  EVERY_TAG,
  nodeIn,
  own,
  partNameOf,
  treeDocOf,
  type Documents,
  type TreeDoc,
} from '@sormet/core/model';
import { nodeName } from '@sormet/core/edit';
import { reachOfStyle, reachOfTag } from '@sormet/core/reach';
import type { Origin } from '@sormet/core/style';
import { useDerived } from '../../site/SiteProvider';
import type { Selected } from '../use-selected';
import { picksWords } from './picked';
import { componentWords, count } from '../../words';

/** What rules are called in the chain (the tag, the definition, here), and whom they reach. */
export interface RuleWords {
  word(origin: Origin): string;
  /** The same in a word or two, where it stands beside what it says. */
  short(origin: Origin): string;
  /** How many elements on pages it reaches, counted when it is asked for; nothing for a theme, in which all stands. */
  reach(origin: Origin): number | undefined;
  /** The same in words: `3 elements on 2 pages`. */
  whom(origin: Origin): string;
}

export function useRuleWords(selected: Selected | undefined): RuleWords {
  const { documents, reach } = useDerived();
  // What is looked at inside an instance stands in its definition, not where one is working.
  const isHere = (doc: string) => doc === selected?.doc.id && selected.address === undefined;
  const reached = (origin: Origin) => {
    if (origin.is === 'theme') return undefined;
    if (origin.is === 'tag') return reachOfTag(documents, reach, origin.tag);
    if (origin.is === 'shared') return reachOfStyle(documents, reach, origin.doc);
    // What is declared here is declared for each that is selected.
    const many = selected && isHere(origin.doc) && origin.node === selected.id ? selected.count : 1;
    return {
      elements: many * reach.standing(origin.doc),
      pages: reach.answer(origin.doc).pages.length,
    };
  };
  return {
    word(origin) {
      if (origin.is === 'tag') return tagWord(origin.tag);
      if (origin.is === 'theme')
        return `theme ${own(documents.tokens.themes ?? {}, origin.theme)?.name ?? origin.theme}`;
      if (origin.is === 'shared')
        return docOf(documents, 'style', origin.doc)?.name ?? 'a style that is gone';
      if (origin.is === 'part') return `${partWords(documents, origin)} here`;
      if (isHere(origin.doc) && selected?.doc.kind === 'page') return 'here';
      const ownNode = isHere(origin.doc) && selected && !selected.isRoot;
      const node = nodeIn(documents, origin.doc, origin.node);
      const definition = isHere(origin.doc)
        ? ownNode && node
          ? `${nodeName(documents, node, selected.doc)} in this definition`
          : 'this definition'
        : `definition of ${componentWords(documents, origin.doc)}`;
      return origin.is === 'rule'
        ? `${definition} · ${
            selected?.picked?.rule === origin.rule
              ? picksWords(selected.picked.component, selected.picked.axes)
              : ruleWords(treeDocOf(documents, origin.doc), origin.rule)
          }`
        : definition;
    },
    short(origin) {
      if (origin.is === 'tag') return tagWord(origin.tag);
      if (origin.is === 'theme') return 'theme';
      if (origin.is === 'shared')
        return docOf(documents, 'style', origin.doc)?.name ?? 'a style that is gone';
      if (origin.is === 'part' || (isHere(origin.doc) && selected?.doc.kind === 'page'))
        return 'here';
      return origin.is === 'rule' ? 'a rule' : 'definition';
    },
    reach: (origin) => reached(origin)?.elements,
    whom(origin) {
      const whom = reached(origin);
      if (!whom) return 'all that stands in it';
      if (whom.elements === 0) return 'no element on any page yet';
      return `${count(whom.elements, 'element')} on ${count(whom.pages, 'page')}`;
    },
  };
}

/** A part as whoever styles it calls it. */
export function partWords(
  documents: Documents,
  { doc, node, part }: Extract<Origin, { is: 'part' }>,
): string {
  const instance = nodeIn(documents, doc, node);
  const marked =
    instance?.kind === 'instance' ? nodeIn(documents, instance.component, part) : undefined;
  return partNameOf(marked) ?? 'a part that is gone';
}

/** What the style of a tag is called; of all of them, the ring that shows where the focus is, as nearly all say there. */
function tagWord(tag: string): string {
  return tag === EVERY_TAG ? 'every element' : `${tag} tag`;
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
