import { useEffect, useRef, type ReactNode } from 'react';
import Markdown from 'markdown-to-jsx';
import { anchorOf, pictureAt, type Chapter } from './chapters';
import './handbook.css';

/** A picture of a chapter, which opens whole. */
function ChapterPicture({ src = '', alt = '' }: { src?: string; alt?: string }): ReactNode {
  const at = pictureAt(src);
  return at === undefined ? null : (
    <a href={at} target="_blank" rel="noreferrer" className="chapter-picture">
      <img src={at} alt={alt} loading="lazy" />
    </a>
  );
}

const OPTIONS = {
  // Nothing of a chapter is HTML.
  disableParsingRawHTML: true,
  slugify: anchorOf,
  overrides: { img: { component: ChapterPicture } },
};

/** The text of a chapter, brought to one of its headings. */
export function ChapterText({
  chapter,
  heading,
}: {
  chapter: Chapter;
  heading: string | undefined;
}): ReactNode {
  const place = useRef<HTMLElement>(null);
  useEffect(() => {
    const at = heading && place.current?.querySelector(`#${CSS.escape(heading)}`);
    if (at) at.scrollIntoView({ block: 'start' });
    else place.current?.parentElement?.scrollTo({ top: 0 });
  }, [chapter, heading]);
  return (
    <article ref={place} className="chapter">
      <Markdown options={OPTIONS}>{chapter.text}</Markdown>
    </article>
  );
}
