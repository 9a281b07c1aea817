import { docOf, type Documents, type PageDoc } from '@sormet/core/model';
import { shortName } from '@sormet/core/edit';

/** The components that a page places, in words. */
export function placesOf(documents: Documents, page: PageDoc): string {
  const names = new Set<string>();
  for (const node of Object.values(page.nodes))
    if (node.kind === 'instance' && node.place.parent !== null)
      names.add(shortName(docOf(documents, 'component', node.component)?.name ?? 'gone'));
  return [...names].sort().join(', ');
}
