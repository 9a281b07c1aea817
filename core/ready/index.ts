export { plant, type Branch } from './branches';
export { STARTERS, type Started, type Starter } from './starters';
export { ReadyStyles } from './ready-styles';
export {
  beginSite,
  copySite,
  emptyComponent,
  emptyPage,
  type Beginning,
  type NewSite,
} from './beginnings';
export * from './new-entry';
export * from './scales';
export { LOOKS, type Look, type LookName } from './looks';
export { trap } from './trap';
export { writtenComponent, type WrittenProperty } from './written-component';
export { pagesBranch, pagesOfList } from './pages-of-list';
export { DIVIDED_BY, headingBetween, type HeadingBy } from './heading-between';
