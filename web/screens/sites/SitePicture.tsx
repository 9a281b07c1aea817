import { useEffect, useRef, useState, type ReactNode } from 'react';
import type { SiteSummary } from '@sormet/core/api';

/** At which size the home page is drawn, and how wide the picture is, in CSS px. */
const DRAWN = { width: 1280, height: 800 };
const WIDE = 240;

/** The home page of a site as it stands now, small: a frame of the preview, loaded when it comes into sight. */
export function SitePicture({ site }: { site: SiteSummary }): ReactNode {
  const place = useRef<HTMLDivElement>(null);
  const [inSight, setInSight] = useState(false);
  useEffect(() => {
    const observer = new IntersectionObserver(([entry]) => {
      if (entry?.isIntersecting) setInSight(true);
    });
    observer.observe(place.current!);
    return () => observer.disconnect();
  }, []);
  const scale = WIDE / DRAWN.width;
  return (
    <div ref={place} className="site-picture" inert style={{ height: DRAWN.height * scale }}>
      {inSight ? (
        <iframe
          src={site.preview}
          title={`Home page of ${site.name}`}
          tabIndex={-1}
          sandbox=""
          style={{ ...DRAWN, transform: `scale(${scale})` }}
        />
      ) : null}
    </div>
  );
}
