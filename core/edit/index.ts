export * from './changes';
export * from './control';
export { commonControls, type CommonControl } from './common-controls';
export * from './define';
export * from './edits';
export * from './names';
export * from './soundness/references';
export * from './soundness/soundness';
export { limitsWhat, slotTakes } from './soundness/slot-takes';
export type { DocumentFinding } from './soundness/document-finding';
export { EDIT_ID_PATTERN } from './upkeep/revert';
export { movesTo, stepMoves, topmost, type Move, type Step } from './tree/moves';
export { placeInto } from './tree/places';
export { tagsFor } from './tree/tags';
export { idsWhenPlain } from './components/plain/making-plain';
export { matchingOf, type Matching } from './components/exchanging';
export { connecting, type Connecting } from './components/connecting';
export { ProposedPlaces } from './components/proposed-places';
export { elementMatching, type ElementMatching } from './components/replacing';
export { inVariant } from './rules/in-variant';
export { differencesByNode, differencesOf, type Difference } from './rules/differences';
export { rosterOf, type RosterRow } from './components/roster';
export { MOST_CONTROLS } from './tree/setting';
export { failsWithout, type ReckonedFrom } from './components/reckoned-from';
export type { Becomes } from './becoming';
export { whatBecomes, type Becoming } from './components/what-becomes';
export { whatBecomesOfField, type FieldBecoming } from './content/what-becomes-of-field';
export { fitsOfType, type Fit } from './repeats/what-fits';
export { beyondEditors, mayBeSet } from './editing/beyond-editors';
export { takingControl, type Giving } from './repeats/taking-control';
export {
  listsAround,
  recordsOf,
  repeatedType,
  type ListAround,
  type Records,
} from './repeats/over';
export { pagesBelow } from './pages/pages';
export { duplicateOf, freePath } from './pages/duplicating';
export { unconnected } from './components/unconnected';
export { duplicateOfComponent } from './components/duplicating';
export { placesOfValue } from './style/places-of-value';
export { groundOf, type Ground } from './style/ground';
export { VEIL, veilEdits, veilWays, type VeilWay } from './style/veils';
export { styleName, themeName } from './style/themes';
export { decidedOtherwise, type DecidedByOrder } from './rules/axis-order';
export { furtherName, namesAt, typedFor } from './working-out/names-at';
export { whereEmpty, type EmptyAt, type WhereEmpty } from './working-out/where-empty';
export { saysTheSame } from './rules/says-the-same';
export { sayingOf } from './rules/handing';
export { rulesNaming } from './rules/options';
export { modifiersWorn, wearersOf } from './style/wearing';
export { STYLED_TAGS } from './style/styled-tags';
export { declaredWith } from './soundness/tokens';
export { OF_MANY, stateOf } from './acts/check-acts';
