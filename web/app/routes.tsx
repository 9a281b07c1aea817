import { createBrowserRouter } from 'react-router';
import { Bench } from '../bench/Bench';
import { ContentScreen } from '../screens/content/ContentScreen';
import { PagesScreen } from '../screens/pages/PagesScreen';
import { LibraryScreen } from '../screens/library/LibraryScreen';
import { PreviewScreen } from '../screens/preview/PreviewScreen';
import { ReleasesScreen } from '../screens/releases/ReleasesScreen';
import { RosterScreen } from '../screens/roster/RosterScreen';
import { SettingsScreen } from '../screens/settings/SettingsScreen';
import { SiteProvider } from '../site/SiteProvider';
import { SitesScreen } from '../screens/sites/SitesScreen';
import { SharedStylesScreen } from '../screens/styles/shared/SharedStylesScreen';
import { SpecimenScreen } from '../screens/styles/specimen/SpecimenScreen';
import { StylesFrame } from '../screens/styles/StylesFrame';
import { TokensScreen } from '../screens/styles/tokens/TokensScreen';
import { Failed } from './Failed';
import { NotFound } from './NotFound';
import { SiteFrame } from './SiteFrame';

/** Every screen has an address of its own. */
export const routes = createBrowserRouter([
  {
    errorElement: <Failed />,
    children: [
      { path: '/', element: <SitesScreen /> },
      {
        path: '/sites/:site',
        element: <SiteProvider />,
        children: [
          {
            element: <SiteFrame />,
            children: [
              { index: true, element: <PagesScreen /> },
              { path: 'library', element: <LibraryScreen /> },
              { path: 'library/:component', element: <RosterScreen /> },
              {
                path: 'styles',
                element: <StylesFrame />,
                children: [
                  { index: true, element: <SpecimenScreen /> },
                  { path: 'tokens', element: <TokensScreen /> },
                  { path: 'shared', element: <SharedStylesScreen /> },
                ],
              },
              { path: 'content', element: <ContentScreen /> },
              { path: 'content/:type', element: <ContentScreen /> },
              { path: 'content/:type/:entry', element: <ContentScreen /> },
              { path: 'releases', element: <ReleasesScreen /> },
              { path: 'settings', element: <SettingsScreen /> },
            ],
          },
          { path: 'bench/:doc', element: <Bench /> },
          { path: 'preview/:page', element: <PreviewScreen /> },
        ],
      },
      { path: '*', element: <NotFound /> },
    ],
  },
]);
