import type { ComponentType } from 'react';
import { createBrowserRouter } from 'react-router';
import { Failed } from './Failed';
import { Loading } from './Loading';
import { NotFound } from './NotFound';

/** A screen that is loaded when somebody goes to it. */
function screen<M extends Record<N, ComponentType>, N extends string>(
  load: () => Promise<M>,
  name: N,
) {
  return { lazy: async () => ({ Component: (await load())[name] }) };
}

const siteScreens = () => import('./site-screens');

const content = screen(siteScreens, 'ContentScreen');
const fields = screen(siteScreens, 'FieldsScreen');

/** Every screen has an address of its own. */
export const routes = createBrowserRouter([
  {
    errorElement: <Failed />,
    hydrateFallbackElement: <Loading />,
    children: [
      { path: '/', ...screen(() => import('../screens/sites/SitesScreen'), 'SitesScreen') },
      {
        path: '/sites/:site',
        ...screen(siteScreens, 'SiteRoot'),
        children: [
          {
            ...screen(siteScreens, 'SiteFrame'),
            children: [
              {
                index: true,
                ...screen(siteScreens, 'PagesScreen'),
              },
              {
                path: 'library',
                ...screen(siteScreens, 'LibraryScreen'),
              },
              {
                path: 'library/:component',
                ...screen(siteScreens, 'RosterScreen'),
              },
              {
                path: 'styles',
                ...screen(siteScreens, 'StylesFrame'),
                children: [
                  {
                    index: true,
                    ...screen(siteScreens, 'SpecimenScreen'),
                  },
                  {
                    path: 'tokens',
                    ...screen(siteScreens, 'TokensScreen'),
                  },
                  {
                    path: 'shared',
                    ...screen(siteScreens, 'SharedStylesScreen'),
                  },
                ],
              },
              { path: 'content', ...content },
              { path: 'content/:type', ...content },
              { path: 'content/:type/fields', ...fields },
              { path: 'content/:type/:entry', ...content },
              {
                path: 'files',
                ...screen(siteScreens, 'FilesScreen'),
              },
              {
                path: 'messages',
                ...screen(siteScreens, 'MessagesScreen'),
              },
              {
                path: 'releases',
                ...screen(siteScreens, 'ReleasesScreen'),
              },
              {
                path: 'settings',
                ...screen(siteScreens, 'SettingsScreen'),
              },
            ],
          },
          { path: 'edit/:page?', ...screen(siteScreens, 'EditingScreen') },
          { path: 'bench/:doc', ...screen(siteScreens, 'Bench') },
          {
            path: 'preview/:page',
            ...screen(siteScreens, 'PreviewScreen'),
          },
        ],
      },
      {
        path: '/handbook/:chapter?',
        ...screen(() => import('../screens/handbook/HandbookScreen'), 'HandbookScreen'),
      },
      { path: '*', element: <NotFound /> },
    ],
  },
]);
