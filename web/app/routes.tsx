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

const content = screen(() => import('../screens/content/ContentScreen'), 'ContentScreen');
const fields = screen(() => import('../screens/content/ContentScreen'), 'FieldsScreen');

/** Every screen has an address of its own. */
export const routes = createBrowserRouter([
  {
    errorElement: <Failed />,
    hydrateFallbackElement: <Loading />,
    children: [
      { path: '/', ...screen(() => import('../screens/sites/SitesScreen'), 'SitesScreen') },
      {
        path: '/sites/:site',
        ...screen(() => import('./SiteRoot'), 'SiteRoot'),
        children: [
          {
            ...screen(() => import('./SiteFrame'), 'SiteFrame'),
            children: [
              {
                index: true,
                ...screen(() => import('../screens/pages/PagesScreen'), 'PagesScreen'),
              },
              {
                path: 'library',
                ...screen(() => import('../screens/library/LibraryScreen'), 'LibraryScreen'),
              },
              {
                path: 'library/:component',
                ...screen(() => import('../screens/roster/RosterScreen'), 'RosterScreen'),
              },
              {
                path: 'styles',
                ...screen(() => import('../screens/styles/StylesFrame'), 'StylesFrame'),
                children: [
                  {
                    index: true,
                    ...screen(
                      () => import('../screens/styles/specimen/SpecimenScreen'),
                      'SpecimenScreen',
                    ),
                  },
                  {
                    path: 'tokens',
                    ...screen(
                      () => import('../screens/styles/tokens/TokensScreen'),
                      'TokensScreen',
                    ),
                  },
                  {
                    path: 'shared',
                    ...screen(
                      () => import('../screens/styles/shared/SharedStylesScreen'),
                      'SharedStylesScreen',
                    ),
                  },
                ],
              },
              { path: 'content', ...content },
              { path: 'content/:type', ...content },
              { path: 'content/:type/fields', ...fields },
              { path: 'content/:type/:entry', ...content },
              {
                path: 'files',
                ...screen(() => import('../screens/files/FilesScreen'), 'FilesScreen'),
              },
              {
                path: 'releases',
                ...screen(() => import('../screens/releases/ReleasesScreen'), 'ReleasesScreen'),
              },
              {
                path: 'settings',
                ...screen(() => import('../screens/settings/SettingsScreen'), 'SettingsScreen'),
              },
            ],
          },
          { path: 'bench/:doc', ...screen(() => import('../bench/Bench'), 'Bench') },
          {
            path: 'preview/:page',
            ...screen(() => import('../screens/preview/PreviewScreen'), 'PreviewScreen'),
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
