import { useMemo, useState, type ReactNode } from 'react';
import { Popover } from 'antd';
import { paintAt } from '@sormet/core/check';
import { contrast, readColour, type Colour } from '@sormet/core/colour';
import { ColourPicker } from '../../../values/ColourPicker';
import { useDerived } from '../../../site/SiteProvider';
import { useApp } from '../../../store/store';
import type { Selected } from '../../use-selected';

/** The colour of a cell as a small area; pressed, it opens what picks another. Ink says its contrast on the ground. */
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
  const ground = useGround(selected, property);
  const read = colour === undefined ? undefined : readColour(colour);
  const ratio = read && ground ? contrast(read, ground) : undefined;
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
              ground={ground}
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
      {ratio === undefined ? null : (
        <span
          className={ratio < 4.5 ? 'contrast is-weak' : 'contrast'}
          title={`Contrast on the ground it stands on: ${ratio.toFixed(2)} to 1. WCAG 2.2 asks for 4.5, for large text 3 (1.4.3).`}
        >
          {ratio.toFixed(1)}
        </span>
      )}
    </>
  );
}

/** The ground that what is selected stands on: its own, or that of whatever is around it. */
function useGround({ element, built }: Selected, property: string): Colour | undefined {
  const { documents } = useDerived();
  const width = useApp((state) => state.bench.width);
  return useMemo(
    () =>
      property === 'color' && element && built
        ? paintAt(documents, built, element, width)?.ground
        : undefined,
    [documents, built, element, width, property],
  );
}
