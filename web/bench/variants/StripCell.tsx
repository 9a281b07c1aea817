import { useRef, type KeyboardEvent, type ReactNode } from 'react';
import type { ComponentDoc, State } from '@sormet/core/model';
import type { Picks } from '@sormet/core/resolve';
import { Picture } from '../../canvas/Picture';
import { useInSight } from '../../parts/use-in-sight';
import { useDerived } from '../../site/SiteProvider';

/** How large a picture in the strip may be, in CSS px. */
export const STRIP_ROOM = { width: 150, height: 84 };

/** One variant of a definition, live: a press lights it. What is out of sight is not drawn. */
export function StripCell({
  definition,
  axes,
  css,
  drawn,
  held,
  words,
  under,
  isLit,
  isFirst,
  ground,
  onPress,
  onKeyDown,
}: {
  definition: ComponentDoc;
  /** By axis the option that it has here; what is not named has that of the base. */
  axes: Picks;
  /** The style sheet that all cells share. */
  css: string;
  /** At which width it is drawn, in CSS px. */
  drawn: number;
  /** The state that it is held in. */
  held?: State | undefined;
  words: string;
  /** What is said below: how many places use it, in what it differs. */
  under: string;
  isLit: boolean;
  /** Whether the Tab key comes to it. */
  isFirst: boolean;
  /** Whether it stands on a ground of its own, so that it is not drawn on white. */
  ground?: string | undefined;
  onPress: () => void;
  onKeyDown: (event: KeyboardEvent<HTMLElement>) => void;
}): ReactNode {
  const { documents, builtOf } = useDerived();
  const place = useRef<HTMLButtonElement>(null);
  const inSight = useInSight(place);
  const built = inSight ? builtOf(definition.id, undefined, axes) : undefined;
  return (
    <button
      ref={place}
      type="button"
      role="radio"
      aria-checked={isLit}
      aria-label={under === '' ? words : `${words}: ${under}`}
      className="strip-cell"
      tabIndex={isFirst ? 0 : -1}
      onClick={onPress}
      onKeyDown={onKeyDown}
    >
      <span className="strip-picture" style={{ minHeight: STRIP_ROOM.height, background: ground }}>
        {built ? (
          <Picture
            documents={documents}
            built={built}
            css={css}
            held={held}
            drawn={drawn}
            {...STRIP_ROOM}
            atMost={0.75}
          />
        ) : null}
      </span>
      <span className="strip-words">
        <b>{words}</b> <span className="quiet">{under}</span>
      </span>
    </button>
  );
}
