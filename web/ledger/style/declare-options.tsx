import { docOf, type Documents } from '@sormet/core/model';
import { lineParts, propertiesFor, splitAtSpaces, stylesInOrder } from '@sormet/core/style';
import type { Suggestion } from '../../parts/SuggestField';
import { offeredValues } from './offered-values';

/** What a line of letters may go on with: properties and shared styles, then values of the property. */
export function optionsFor(documents: Documents, typed: string): Suggestion[] {
  if (typed.trim() === '') return [];
  const { letters, value } = lineParts(typed);
  if (value !== '' || /\s$/.test(typed)) return valuesFor(documents, typed, letters, value);
  const styles = stylesInOrder(documents)
    .flatMap((id) => docOf(documents, 'style', id) ?? [])
    .filter(({ name }) => name.toLowerCase().includes(letters.toLowerCase()))
    .map(({ name }) => ({ value: name, label: `${name} · shared style` }));
  const properties = propertiesFor(letters)
    .slice(0, 8)
    .map((name) => ({ value: `${name} `, label: name }));
  return [...properties, ...styles.slice(0, 4)];
}

function valuesFor(
  documents: Documents,
  typed: string,
  letters: string,
  value: string,
): Suggestion[] {
  const [property] = propertiesFor(letters);
  if (property === undefined) return [];
  const open = /\s$/.test(typed) ? '' : (splitAtSpaces(value).at(-1) ?? '').toLowerCase();
  const kept = open === '' ? typed : typed.slice(0, typed.length - open.length);
  return offeredValues(property, documents.tokens.tokens)
    .filter((offer) => offer.value.toLowerCase().includes(open) && offer.value !== open)
    .slice(0, 10)
    .map((offer) => ({
      value: kept + offer.value,
      label: (
        <span className="offer">
          {offer.value} <span className="quiet">{offer.what}</span>
        </span>
      ),
    }));
}
