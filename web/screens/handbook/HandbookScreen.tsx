import type { ReactNode } from 'react';
import { Link, NavLink, useLocation, useParams } from 'react-router';
import { CHAPTERS } from '../../parts/handbook/chapters';
import { ChapterText } from '../../parts/handbook/ChapterText';
import { useTitle } from '../../parts/use-title';

/** The handbook by itself, chapter by chapter. */
export function HandbookScreen(): ReactNode {
  const { chapter: key } = useParams();
  const { hash } = useLocation();
  const chapter = CHAPTERS.find((each) => each.key === key) ?? CHAPTERS[0]!;
  useTitle(chapter.title, 'Handbook');
  return (
    <>
      <header className="bar">
        <Link to="/" className="bar-brand">
          Sormet
        </Link>
        <span className="bar-site">Handbook</span>
      </header>
      <main className="handbook-page">
        <nav aria-label="Chapters">
          {CHAPTERS.map((each) => (
            <NavLink
              key={each.key}
              to={`/handbook/${each.key}`}
              className={each === chapter ? 'active' : undefined}
            >
              {each.title}
            </NavLink>
          ))}
        </nav>
        <ChapterText chapter={chapter} heading={hash === '' ? undefined : hash.slice(1)} />
      </main>
    </>
  );
}
