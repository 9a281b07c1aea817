export { isDay } from './date-in-words';
export { languageOf, type Language } from './language';
export type { NumberStyle } from './number-in-words';
export { PLURAL_FORMS, type PluralForm } from './plural-form';
export {
  CURRENCIES,
  DATE_STYLES,
  knownTag,
  KNOWN_LANGUAGES,
  UNITS,
  type DateStyle,
} from './written-with';
