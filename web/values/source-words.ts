import {
  docOf,
  isMade,
  own,
  type Documents,
  type Source,
  type TreeDoc,
  type Typed,
} from '@sormet/core/model';
import { madeWords, valueWords } from '../words';
import { fieldLabel } from './fields';

/** What gives a value, in words: the value itself where it is written, else where it comes from. */
export function sourceWords(documents: Documents, doc: TreeDoc, source: Source): string {
  if (isMade(source)) return madeWords(source);
  switch (source.is) {
    case 'value':
      return valueWords(documents, source as Typed);
    case 'field':
      return fieldLabel(documents, doc, source);
    case 'property': {
      const property = own(
        docOf(documents, 'component', doc.id)?.properties ?? {},
        source.property,
      );
      return property?.label ?? 'a property of this definition';
    }
    default:
      return 'what it is given';
  }
}
