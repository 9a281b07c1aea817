import { useRef, type ReactNode } from 'react';
import type { SiteSummary } from '@sormet/core/api';
import { useInSight } from '../../parts/use-in-sight';

/** At which size the home page is drawn, and how wide the picture is, in CSS px. */
const DRAWN = { width: 1280, height: 800 };
const WIDE = 240;

/** The home page of a site as it stands now, small: a frame of the preview, loaded when it comes into sight. */
export function SitePicture({ site }: { site: SiteSummary }): ReactNode {
  const place = useRef<HTMLDivElement>(null);
  const inSight = useInSight(place, true);
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
