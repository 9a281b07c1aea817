export { chosenOptions } from './chosen-options';
export { count } from './count';
export { KIND_WORDS, typeWords } from './kind-words';
export { momentWords } from './moment';
export { componentWords, documentWords, namesOf } from './names';
export { reachWords, shortReach } from './reach-words';
export { slotWordsOf } from './slot-words';
export { refusalWords, sentence, toldWords, inWords } from './told';
export { linkWords, valueWords } from './value-words';
