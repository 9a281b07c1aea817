import { useRef, type KeyboardEvent, type ReactNode } from 'react';
import type { ComponentDoc, State } from '@sormet/core/model';
import type { Picks } from '@sormet/core/resolve';
import { Picture } from '../../canvas/Picture';
import { useInSight } from '../../parts/use-in-sight';
import type { Derived } from '../../site/deriving';

/** One variant of a definition, live: a press lights it. What is out of sight is not drawn. */
export function StripCell({
  definition,
  derived: { documents, builtOf },
  axes,
  css,
  drawn,
  width,
  height,
  room,
  held,
  words,
  under,
  more = '',
  isLit,
  isFirst,
  onPress,
  onKeyDown,
}: {
  definition: ComponentDoc;
  /** The state of the site that it is drawn from. */
  derived: Derived;
  /** By axis the option that it has here; what is not named has that of the base. */
  axes: Picks;
  /** The style sheet that all cells share. */
  css: string;
  /** At which width it is drawn, how large its picture may be, and how much room is around it, in CSS px. */
  drawn: number;
  width: number;
  height: number;
  room: number;
  /** The state that it is held in. */
  held?: State | undefined;
  words: string;
  /** What is said below: how many places use it. */
  under: string;
  /** What is said besides, where one points at it. */
  more?: string;
  isLit: boolean;
  /** Whether the Tab key comes to it. */
  isFirst: boolean;
  onPress: () => void;
  onKeyDown: (event: KeyboardEvent<HTMLElement>) => void;
}): ReactNode {
  const place = useRef<HTMLButtonElement>(null);
  const inSight = useInSight(place);
  const built = inSight ? builtOf(definition.id, undefined, axes) : undefined;
  return (
    <button
      ref={place}
      type="button"
      role="radio"
      aria-checked={isLit}
      aria-label={[words, [under, more].filter(Boolean).join(', ')].filter(Boolean).join(': ')}
      title={more || undefined}
      className="strip-cell"
      tabIndex={isFirst ? 0 : -1}
      onClick={onPress}
      onKeyDown={onKeyDown}
    >
      <span className="strip-picture" style={{ width: width + 12, height }}>
        {built ? (
          <Picture
            documents={documents}
            built={built}
            css={css}
            held={held}
            drawn={drawn}
            width={width}
            height={height}
            room={room}
            atMost={0.62}
          />
        ) : null}
      </span>
      <span className="strip-words">
        <b>{words}</b> <span className="quiet">{under}</span>
      </span>
    </button>
  );
}
