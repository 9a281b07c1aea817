import { useMemo, type ReactNode } from 'react';
import { paintAround, paintAt } from '@sormet/core/check';
import { judged, readColour, writeOklch, type Colour } from '@sormet/core/colour';
import { ColourButton } from '../../values/colour/ColourButton';
import {
  CONTRAST_OF,
  contrastWords,
  ratioOf,
  type Against,
} from '../../values/colour/contrast-words';
import { pickedWords } from '../../values/colour/picked';
import { useDerived } from '../../site/SiteProvider';
import { useApp } from '../../store/store';
import type { Selected } from '../use-selected';

/** The colour of a cell as a small area; pressed, it opens what picks another. What has to be told from something says its contrast. */
export function ColourCell({
  label,
  colour,
  token,
  property,
  selected,
  onPick,
}: {
  label: string;
  colour: string | undefined;
  /** By which name of a token it is declared. */
  token: string | undefined;
  property: string;
  selected: Selected;
  /** Declares what was typed, as one step with what was picked before under the same name. @returns why it cannot be */
  onPick: (typed: string, group: string) => string;
}): ReactNode {
  const { against, now } = usePaint(selected, property);
  const read = colour === undefined ? undefined : readColour(colour);
  const ratio = read && against && ratioOf(read, against);
  return (
    <>
      <ColourButton
        label={label}
        className="swatch"
        colour={colour}
        begin={colour ?? (now && writeOklch(now))}
        token={token}
        against={against}
        onPick={(picked, group) => onPick(pickedWords(picked), group)}
      />
      {ratio === undefined || !against ? null : (
        <span
          className={judged(ratio, against.as) === 'enough' ? 'contrast' : 'contrast is-weak'}
          title={`${CONTRAST_OF[against.as]}: ${ratio.toFixed(2)} to 1. ${contrastWords(ratio, against.as)}`}
        >
          {ratio.toFixed(1)}
        </span>
      )}
    </>
  );
}

/** What people work with: where it is must be seen (WCAG 2.2, 1.4.11). */
const CONTROLS = new Set(['button', 'input', 'select', 'textarea', 'summary', 'a']);

/**
 * What a colour of what is selected is seen against, where somebody has to tell it from that, and what it is now where
 * nothing is declared: what comes down to it.
 */
function usePaint(
  { element, built }: Selected,
  property: string,
): { against?: Against | undefined; now?: Colour | undefined } {
  const { documents } = useDerived();
  const width = useApp((state) => state.bench.width);
  return useMemo(() => {
    if (!element || !built) return {};
    const own = () => paintAt(documents, built, element, width);
    switch (property) {
      case 'color': {
        const paint = own();
        return { against: paint?.ground && { colour: paint.ground, as: 'words' }, now: paint?.ink };
      }
      case 'background-color': {
        const paint = own();
        return { against: paint?.ink && { colour: paint.ink, as: 'ground' }, now: paint?.ground };
      }
      default: {
        const isEdge =
          property === 'outline-color' ||
          (property.startsWith('border-') && CONTROLS.has(element.tag));
        const around = isEdge ? paintAround(documents, built, element, width)?.ground : undefined;
        return { against: around && { colour: around, as: 'control' } };
      }
    }
  }, [documents, built, element, width, property]);
}
