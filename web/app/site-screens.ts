/**
 * The screens of a site, loaded together: nearly all that one needs the others need too, and shared one by one it came in
 * seventy pieces, each asked for, read and set up by itself.
 */
export { Bench } from '../bench/Bench';
export { ContentScreen, FieldsScreen } from '../screens/content/ContentScreen';
export { EditingScreen } from '../screens/editing/EditingScreen';
export { FilesScreen } from '../screens/files/FilesScreen';
export { LibraryScreen } from '../screens/library/LibraryScreen';
export { MessagesScreen } from '../screens/messages/MessagesScreen';
export { PagesScreen } from '../screens/pages/PagesScreen';
export { PreviewScreen } from '../screens/preview/PreviewScreen';
export { ReleasesScreen } from '../screens/releases/ReleasesScreen';
export { RosterScreen } from '../screens/roster/RosterScreen';
export { SettingsScreen } from '../screens/settings/SettingsScreen';
export { SharedStylesScreen } from '../screens/styles/shared/SharedStylesScreen';
export { SpecimenScreen } from '../screens/styles/specimen/SpecimenScreen';
export { StylesFrame } from '../screens/styles/StylesFrame';
export { TokensScreen } from '../screens/styles/tokens/TokensScreen';
export { SiteFrame } from './SiteFrame';
export { SiteRoot } from './SiteRoot';
