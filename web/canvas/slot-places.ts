import { createContext } from 'react';
import { inOrder, docOf, type ComponentDoc, type Documents } from '@sormet/core/model';
import { shortName } from '@sormet/core/edit';

/** What stands where a slot of the definition that is drawn has nothing in it, by slot; nothing on pages. */
export const SlotPlaces = createContext<Readonly<Record<string, string>>>({});

/** The words for the empty slots of a definition: what each is called, what it lets in, how many. */
export function slotPlacesOf(
  documents: Documents,
  { slots }: ComponentDoc,
): Readonly<Record<string, string>> {
  return Object.fromEntries(
    inOrder(slots).map(([id, { label, allows, most }]) => {
      const names = Object.keys(allows ?? {}).flatMap((each) => {
        const component = docOf(documents, 'component', each);
        return component ? shortName(component.name) : [];
      });
      const takes = names.length > 0 ? `takes ${names.join(', ')}` : '';
      const many = most === undefined ? '' : `at most ${most}`;
      const limits = [takes, many].filter(Boolean).join(', ');
      return [id, [`slot: ${label}`, 'empty', limits].filter(Boolean).join(' · ')];
    }),
  );
}
