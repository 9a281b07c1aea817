import { useState, type ReactNode } from 'react';
import { Slider } from 'antd';
import {
  contrast,
  isOnEveryScreen,
  nearestHex,
  readColour,
  writeOklch,
  type Colour,
} from '@sormet/core/colour';
import './ColourPicker.css';

/**
 * Picks a colour in OKLCH, by lightness, chroma and hue as people see them, and says at once whether words in it can be
 * read on their ground. Given when it is done: by the button or Enter.
 */
export function ColourPicker({
  colour,
  ground,
  onPick,
  onClose,
}: {
  colour: string | undefined;
  /** What words in it would stand on; left out where no words are meant. */
  ground: Colour | undefined;
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
  const ratio = ground ? contrast(picked, ground) : undefined;
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
        {ratio === undefined ? null : (
          <>
            Words in it on their ground: <b>{ratio.toFixed(2)} to 1</b>.{' '}
            {ratio >= 4.5
              ? 'Enough for any text.'
              : ratio >= 3
                ? 'Enough for large text only (4.5 for the rest).'
                : 'Too weak to be read (WCAG 2.2, 1.4.3: 4.5; large text 3).'}
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
