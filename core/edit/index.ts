export { Clip, clipOf, readClip, topmost, wordsOf } from './clip/clip';
export { clashesOf, type Choice, type Choices, type Clash } from './clip/clashes';
export { fitClip, type Fitted } from './clip/fit';
export * from './changes';
export * from './control';
export { commonControls, type CommonControl } from './common-controls';
export * from './define';
export * from './edits';
export * from './names';
export * from './soundness/references';
export * from './soundness/soundness';
export * from './branches';
export * from './starters';
export { ReadyStyles } from './ready/ready-styles';
export { EDIT_ID_PATTERN } from './upkeep/revert';
export { movesTo, stepMoves, type Move, type Step } from './tree/moves';
export { placeInto } from './tree/places';
export { tagsFor } from './tree/tags';
export { idsWhenPlain } from './components/making-plain';
export { matchingOf, type Matching } from './components/exchanging';
export { connecting, type Connecting } from './components/connecting';
export { ProposedPlaces } from './components/proposed-places';
export { elementMatching, type ElementMatching } from './components/replacing';
export { rosterOf, type RosterRow } from './components/roster';
export { MOST_CONTROLS } from './tree/setting';
export { whatBecomes, type Becomes, type Becoming } from './components/what-becomes';
export { fitsOfType, type Fit } from './repeats/what-fits';
export { listsAround, recordsOf, type ListAround, type Records } from './repeats/over';
export { pagesBelow } from './pages/pages';
export {
  beginSite,
  copySite,
  emptyComponent,
  emptyPage,
  type Beginning,
  type NewSite,
} from './site/beginnings';
export { duplicateOf, freePath } from './pages/duplicating';
export { duplicateOfComponent } from './components/duplicating';
export { placesOfValue } from './style/places-of-value';
export { groundOf, type Ground } from './style/ground';
export { styleName, themeName } from './style/themes';
export { wearersOf } from './style/wearing';
export { STYLED_TAGS } from './style/styled-tags';
export { declaredWith } from './soundness/tokens';
