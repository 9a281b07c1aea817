import type { State } from '../model';

/** What a part of the specimen stands for, by the id of its node. */
export type Stands =
  | { readonly is: 'token'; readonly token: string }
  | { readonly is: 'tag'; readonly tag: string; readonly held?: State }
  | { readonly is: 'style'; readonly style: string; readonly held?: State }
  | { readonly is: 'component'; readonly component: string };

/** Notes what a part stands for. @returns the id of its node */
export type As = (stands: Stands) => string;
