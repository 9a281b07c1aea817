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
import { madeWords, valueWords } from '../words';
import { fieldLabel } from './fields';

/** What gives a value, in words: the value itself where it is written, else where it comes from. */
export function sourceWords(documents: Documents, doc: TreeDoc, source: Source): string {
  if (isMade(source)) return madeWords(source);
  switch (source.is) {
    case 'value':
      return valueWords(documents, source as Typed);
    case 'field':
    case 'position':
      return fieldLabel(documents, doc, source);
    case 'begins':
      return `whether ${sourceWords(documents, doc, source.of)} is another than before`;
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
