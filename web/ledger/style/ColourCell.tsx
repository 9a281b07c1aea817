import { useMemo, useState, type ReactNode } from 'react';
import { Popover } from 'antd';
import { paintAround, paintAt } from '@sormet/core/check';
import { judged, readColour } from '@sormet/core/colour';
import {
  ColourPicker,
  CONTRAST_OF,
  contrastWords,
  ratioOf,
  type Against,
} from '../../values/ColourPicker';
import { useDerived } from '../../site/SiteProvider';
import { useApp } from '../../store/store';
import type { Selected } from '../use-selected';

/** The colour of a cell as a small area; pressed, it opens what picks another. What has to be told from something says its contrast. */
export function ColourCell({
  label,
  colour,
  property,
  selected,
  onPick,
}: {
  label: string;
  colour: string | undefined;
  property: string;
  selected: Selected;
  onPick: (css: string) => void;
}): ReactNode {
  const [open, setOpen] = useState(false);
  const against = useAgainst(selected, property);
  const read = colour === undefined ? undefined : readColour(colour);
  const ratio = read && against && ratioOf(read, against);
  const button = (
    <button
      type="button"
      className={colour ? 'swatch' : 'swatch is-empty'}
      style={{ background: colour }}
      aria-label={`${label}: pick a colour`}
      aria-haspopup="dialog"
      aria-expanded={open}
      onClick={() => setOpen(!open)}
    />
  );
  return (
    <>
      {open ? (
        <Popover
          open
          trigger="click"
          destroyOnHidden
          onOpenChange={setOpen}
          content={
            <ColourPicker
              colour={colour}
              against={against}
              onPick={onPick}
              onClose={() => setOpen(false)}
            />
          }
        >
          {button}
        </Popover>
      ) : (
        button
      )}
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

/** What a colour of what is selected is seen against; nothing where nobody has to tell it from anything. */
function useAgainst({ element, built }: Selected, property: string): Against | undefined {
  const { documents } = useDerived();
  const width = useApp((state) => state.bench.width);
  return useMemo((): Against | undefined => {
    if (!element || !built) return undefined;
    const own = () => paintAt(documents, built, element, width);
    const isEdge =
      property === 'outline-color' || (property.startsWith('border-') && CONTROLS.has(element.tag));
    const [colour, as] =
      property === 'color'
        ? [own()?.ground, 'words' as const]
        : property === 'background-color'
          ? [own()?.ink, 'ground' as const]
          : [
              isEdge ? paintAround(documents, built, element, width)?.ground : undefined,
              'control' as const,
            ];
    return colour && { colour, as };
  }, [documents, built, element, width, property]);
}
