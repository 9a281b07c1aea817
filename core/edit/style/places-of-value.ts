import { pointer, type Documents, type PlaceholderType } from '../../model';
import { fittingTokens, keyParts } from '../../style';
import { blocksOf } from '../soundness/blocks';

/** Every declaration of a site that holds a value for which a token of a type could stand, as edits name places. */
export function placesOfValue(
  documents: Documents,
  css: string,
  type: PlaceholderType,
): { readonly doc: string; readonly path: string }[] {
  if (type === 'border') return [];
  const found: { doc: string; path: string }[] = [];
  const fits = new Map<string, boolean>();
  const takes = (property: string) => {
    let known = fits.get(property);
    if (known === undefined)
      fits.set(property, (known = fittingTokens(property, { t: { name: '', type } }).length > 0));
    return known;
  };
  for (const doc of documents)
    for (const { where, block } of blocksOf(doc))
      for (const key in block) {
        const declared = block[key]!;
        if (declared.css === css && !declared.refs && takes(keyParts(key).property))
          found.push({ doc: doc.id, path: pointer(...where, key) });
      }
  return found;
}
