import type { ReactNode } from 'react';
import { Link, NavLink, Outlet, useLocation } from 'react-router';
import { Button } from 'antd';
import { Connection } from '../bench/Connection';
import { useDerived, useSync } from '../site/SiteProvider';
import { Steps, useStepKeys } from '../site/Steps';
import { HandbookButton } from '../parts/handbook/HandbookButton';
import { useTitle } from '../parts/use-title';
import { useSummary } from '../site/use-summary';
import { siteActions } from '../store/site-slice';
import { useApp, useAppDispatch } from '../store/store';
import { takenWords } from '../words';

/** What each screen is called, by the first part of its address in the site. */
const TITLES: Readonly<Record<string, string>> = {
  '': 'Pages',
  library: 'Library',
  styles: 'Styles',
  content: 'Content',
  files: 'Files',
  messages: 'Messages',
  releases: 'Releases',
  settings: 'Settings',
};

/** Which chapter of the handbook says what each screen is for. */
const CHAPTERS_OF: Readonly<Record<string, string>> = {
  '': 'sites-and-pages#pages',
  library: 'instances-and-reach#reach',
  styles: 'tokens-themes-and-shared-styles',
  content: 'content',
  files: 'words-and-pictures',
  messages: 'looking-and-publishing#messages',
  releases: 'looking-and-publishing#publish',
  settings: 'sites-and-pages#settings',
};

/** The frame of a site's screens other than the bench. */
export function SiteFrame(): ReactNode {
  const { documents } = useDerived();
  const sync = useSync();
  const refusal = useApp((state) => state.site.refusal);
  const taken = useApp((state) => state.site.taken);
  const dispatch = useAppDispatch();
  const summary = useSummary();
  useStepKeys();
  const { pathname } = useLocation();
  const [, , , screen = ''] = pathname.split('/');
  useTitle(TITLES[screen], documents.site.name);
  const base = `/sites/${sync.site}`;
  return (
    <div className="frame">
      <header className="bar">
        <Link to="/" className="bar-brand">
          Sormet
        </Link>
        <span className="bar-site">{documents.site.name}</span>
        <nav className="frame-nav" aria-label="Screens of the site">
          <NavLink to={base} end>
            Pages
          </NavLink>
          <NavLink to={`${base}/library`}>Library</NavLink>
          <NavLink to={`${base}/styles`}>Styles</NavLink>
          <NavLink to={`${base}/content`}>Content</NavLink>
          <NavLink to={`${base}/files`}>Files</NavLink>
          <NavLink to={`${base}/messages`}>Messages</NavLink>
          <NavLink to={`${base}/releases`}>Releases</NavLink>
          <NavLink to={`${base}/settings`}>Settings</NavLink>
          <NavLink to={`${base}/edit`}>Editors</NavLink>
        </nav>
        <span className="bar-space" />
        <Connection />
        <Steps />
        <HandbookButton at={CHAPTERS_OF[screen] ?? 'sites-and-pages'} />
        {summary?.live ? (
          <Button size="small" href={summary.address} target="_blank">
            Open the published site
          </Button>
        ) : null}
      </header>
      {refusal ? (
        <div className="sentence edge-wrong" role="alert">
          Not done: {refusal.says}
        </div>
      ) : null}
      {taken && !refusal ? (
        <div className="sentence edge-none" role="status">
          {takenWords(taken)}
          <Button size="small" type="text" onClick={() => dispatch(siteActions.takenSeen())}>
            understood
          </Button>
        </div>
      ) : null}
      <main className="frame-main">
        <Outlet />
      </main>
    </div>
  );
}
