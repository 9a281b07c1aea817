import { useRef, type ReactNode } from 'react';
import { rootOf, type ComponentDoc } from '@sormet/core/model';
import { BASE_WIDTH } from '../../canvas/Canvas';
import { Picture } from '../../canvas/Picture';
import { useInSight } from '../../parts/use-in-sight';
import { useDerived } from '../../site/SiteProvider';

/** How large a picture is in the library, in CSS px. */
const ROOM = { width: 132, height: 76 };

/** How wide what stands within a section is drawn, in CSS px: as wide as a page nobody could read it. */
const WITHIN = 360;

/** Elements that take the whole width of a page. */
const WHOLE = new Set(['section', 'header', 'footer', 'main', 'body', 'nav']);

/** What a component looks like with its defaults, live and small: drawn when it is scrolled to. */
export function ComponentPicture({ component }: { component: ComponentDoc }): ReactNode {
  const { documents, builtOf } = useDerived();
  const place = useRef<HTMLDivElement>(null);
  const inSight = useInSight(place);
  const root = component.nodes[rootOf(component.nodes)]!;
  const isWhole = root.kind !== 'element' || WHOLE.has(root.tag);
  const built = inSight ? builtOf(component.id, undefined) : undefined;
  return (
    <div ref={place} className="component-picture" style={ROOM} aria-hidden>
      {built ? (
        <Picture
          documents={documents}
          built={built}
          drawn={isWhole ? BASE_WIDTH : WITHIN}
          {...ROOM}
          atMost={0.5}
        />
      ) : null}
    </div>
  );
}
