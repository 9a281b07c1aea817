import { createContext } from 'react';
import { docOf, own, type Documents, type Slot } from '@sormet/core/model';
import { shortName } from '@sormet/core/edit';
import type { ResolvedElement, ResolvedGroup } from '@sormet/core/resolve';
import { describe, isOwn, slotOwner } from './address';

/** What stands where something has nothing in it, so that it can be seen, selected and filled. */
export interface PlaceWords {
  /** The words in the place of an empty slot; nothing where nobody can fill it from here. */
  slot(node: ResolvedGroup): string | undefined;
  /** The words in an empty box. */
  box(node: ResolvedElement): string | undefined;
}

export const Places = createContext<PlaceWords>({ slot: () => undefined, box: () => undefined });

/** The attribute of an element that holds nothing, with its words; `data-sormet-place` shows them where it has no room either. */
export const EMPTY = 'data-sormet-empty';

/** The words for what is empty in an open document. */
export function placesOf(documents: Documents, doc: string): PlaceWords {
  return {
    slot(node) {
      const owner = slotOwner(node, doc);
      if (!owner || node.from.kind !== 'slot') return undefined;
      const component = docOf(documents, 'component', node.scope.within.doc);
      const slot = component && own(component.slots, node.from.slot);
      return slot ? slotWords(documents, slot) : undefined;
    },
    box: (node) =>
      isOwn(node, doc) ? `${describe(documents, doc, node.from.id)} · empty` : undefined,
  };
}

/** What a slot is called, what it lets in, how many. */
function slotWords(
  documents: Documents,
  { label, allows, allowsFolders, allowsTags, most }: Slot,
): string {
  const names = [
    ...Object.keys(allows ?? {}).flatMap((each) => {
      const component = docOf(documents, 'component', each);
      return component ? shortName(component.name) : [];
    }),
    ...Object.keys(allowsFolders ?? {}).map((folder) => `all of ${folder}/`),
    ...Object.keys(allowsTags ?? {}).map((tag) => `<${tag}>`),
  ];
  const takes = names.length > 0 ? `takes ${names.join(', ')}` : '';
  const many = most === undefined ? '' : `at most ${most}`;
  const limits = [takes, many].filter(Boolean).join(', ');
  return [`slot: ${label}`, 'empty', limits].filter(Boolean).join(' · ');
}

/** Shows the places of what is empty and has no room of its own: measured, since only the styles say what has. */
export function showPlaces(body: HTMLElement): void {
  for (const element of body.querySelectorAll<HTMLElement>(`[${EMPTY}]`)) {
    delete element.dataset['sormetPlace'];
    const { width, height } = element.getBoundingClientRect();
    if (width < 1 || height < 1) element.dataset['sormetPlace'] = element.getAttribute(EMPTY)!;
  }
}
