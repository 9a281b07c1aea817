import { useState, type ReactNode } from 'react';
import { Slider } from 'antd';
import {
  contrast,
  isOnEveryScreen,
  judged,
  LEAST_CONTRAST,
  nearestHex,
  readColour,
  writeOklch,
  type Colour,
  type Seen,
} from '@sormet/core/colour';
import './ColourPicker.css';

/** A colour that another is seen against, and as what that other is. */
export interface Against {
  readonly colour: Colour;
  readonly as: Seen;
}

/** What is meant by a contrast, by what is looked at. */
export const CONTRAST_OF: Readonly<Record<Seen, string>> = {
  words: 'Words in it on their ground',
  ground: 'The words on it',
  control: 'It against what is around',
};

/** A contrast in words, with what WCAG 2.2 asks for. */
export function contrastWords(ratio: number, seen: Seen): string {
  const { text, largeText, control } = LEAST_CONTRAST;
  const enough = judged(ratio, seen);
  if (seen === 'control')
    return enough === 'enough'
      ? 'Enough to see a control by.'
      : `Too weak to see a control by (WCAG 2.2, 1.4.11: ${control}).`;
  if (enough === 'enough') return 'Enough for any text.';
  return enough === 'large'
    ? `Enough for large text only (${text} for the rest).`
    : `Too weak to be read (WCAG 2.2, 1.4.3: ${text}; large text ${largeText}).`;
}

/**
 * Picks a colour in OKLCH, by lightness, chroma and hue as people see them, and says at once whether words in it can be
 * read on their ground. Given when it is done: by the button or Enter.
 */
export function ColourPicker({
  colour,
  against,
  onPick,
  onClose,
}: {
  colour: string | undefined;
  /** What it is seen against; nothing where nobody has to tell the two apart. */
  against: Against | undefined;
  onPick: (css: string) => void;
  onClose: () => void;
}): ReactNode {
  const begun: Colour = (colour === undefined ? undefined : readColour(colour)) ?? {
    l: 0.5,
    c: 0.1,
    h: 200,
    alpha: 1,
  };
  const [picked, setPicked] = useState(begun);
  const css = writeOklch(picked);
  const give = () => {
    onPick(css);
    onClose();
  };
  const rows = [
    { label: 'Lightness', of: 'l', max: 1, step: 0.005, shown: `${Math.round(picked.l * 100)} %` },
    { label: 'Chroma', of: 'c', max: 0.37, step: 0.002, shown: picked.c.toFixed(3) },
    { label: 'Hue', of: 'h', max: 360, step: 1, shown: `${Math.round(picked.h)}°` },
    {
      label: 'Opacity',
      of: 'alpha',
      max: 1,
      step: 0.01,
      shown: `${Math.round(picked.alpha * 100)} %`,
    },
  ] as const;
  const ratio = against && ratioOf(picked, against);
  return (
    <form
      className="colour-picker"
      role="group"
      aria-label="Pick a colour"
      onSubmit={(event) => {
        event.preventDefault();
        give();
      }}
      onKeyDown={({ key }) => {
        if (key === 'Escape') onClose();
      }}
    >
      <div className="colour-picker-shown" style={{ background: css }}>
        <code>{nearestHex(picked)}</code>
      </div>
      {rows.map(({ label, of, max, step, shown }) => (
        <label key={of} className="colour-picker-row">
          <span>{label}</span>
          <Slider
            min={0}
            max={max}
            step={step}
            value={picked[of]}
            tooltip={{ open: false }}
            ariaLabelForHandle={label}
            onChange={(value: number) => setPicked({ ...picked, [of]: value })}
          />
          <span className="mono">{shown}</span>
        </label>
      ))}
      <p className="colour-picker-says">
        {ratio === undefined || !against ? null : (
          <>
            {CONTRAST_OF[against.as]}: <b>{ratio.toFixed(2)} to 1</b>.{' '}
            {contrastWords(ratio, against.as)}
          </>
        )}{' '}
        {isOnEveryScreen(picked) ? '' : 'Not every screen can show it.'}
      </p>
      <div className="colour-picker-actions">
        <button type="button" className="plain-button" onClick={onClose}>
          Leave it
        </button>
        <button type="submit" className="plain-button primary">
          Take it
        </button>
      </div>
    </form>
  );
}

/** The contrast of a colour with what it is seen against: whichever lies below is blended first. */
export function ratioOf(colour: Colour, against: Against): number {
  return against.as === 'ground'
    ? contrast(against.colour, colour)
    : contrast(colour, against.colour);
}
