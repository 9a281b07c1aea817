import {
  docOf,
  isMade,
  own,
  type Documents,
  type Source,
  type TreeDoc,
  type Typed,
} from '@sormet/core/model';
import { shortName } from '@sormet/core/edit';
import { count, datePartWords, madeWords, valueWords } from '../words';
import { fieldLabel } from './fields';

/** What gives a value, in words: the value itself where it is written, else where it comes from. */
export function sourceWords(documents: Documents, doc: TreeDoc, source: Source): string {
  if (isMade(source)) return madeWords(source);
  switch (source.is) {
    case 'value':
      return valueWords(documents, source as Typed);
    case 'field':
    case 'position':
    case 'leaf':
    case 'today':
      return fieldLabel(documents, doc, source);
    case 'begins':
      return `whether ${comparedWords(documents, doc, source.of)} is another than before`;
    case 'acts':
      return `${count(Object.keys(source.acts).length, 'act')} of its own`;
    case 'property': {
      const definition = docOf(documents, 'component', doc.id);
      const property = definition && own(definition.properties, source.property);
      return property
        ? `${shortName(definition.name)} · ${property.label.toLowerCase()}`
        : 'a property that is gone';
    }
    default:
      return 'what it is given';
  }
}

/** What is compared with the item before, in words: a field, of a date the part that is written. */
export function comparedWords(documents: Documents, doc: TreeDoc, of: Source): string {
  const [piece] = of.is === 'words' ? of.pieces : [];
  if (of.is !== 'words' || typeof piece !== 'object' || !('place' in piece))
    return sourceWords(documents, doc, of);
  const read = own(of.names, piece.place);
  const part = piece.format?.as === 'date' ? datePartWords(piece.format.style) : undefined;
  const words = read ? sourceWords(documents, doc, read) : madeWords(of);
  return part === undefined ? words : `the ${part} of ${words}`;
}
