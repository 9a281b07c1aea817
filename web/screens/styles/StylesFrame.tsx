import type { ReactNode } from 'react';
import { NavLink, Outlet } from 'react-router';
import { useSync } from '../../site/SiteProvider';
import './StylesFrame.css';

/** What the look of a site is made of: all of it on one sheet, its tokens, its shared styles. */
export function StylesFrame(): ReactNode {
  const sync = useSync();
  const base = `/sites/${sync.site}/styles`;
  return (
    <div className="styles-frame">
      <nav className="styles-nav" aria-label="Styles">
        <h1>Styles</h1>
        <NavLink to={base} end>
          Specimen
        </NavLink>
        <NavLink to={`${base}/tokens`}>Tokens</NavLink>
        <NavLink to={`${base}/shared`}>Shared styles</NavLink>
      </nav>
      <Outlet />
    </div>
  );
}
