import { useState, type CSSProperties, type ReactNode } from 'react';
import { Slider } from 'antd';
import { Pipette } from 'lucide-react';
import {
  isOnEveryScreen,
  MOST_CHROMA,
  nearestHex,
  readColour,
  writeOklch,
  type Colour,
} from '@sormet/core/colour';
import { IconButton } from '../../parts/IconButton';
import { useDraft } from '../../parts/use-draft';
import { Wrong } from '../../parts/Wrong';
import { stepOf } from '../../site/step-of';
import { useSync } from '../../site/SiteProvider';
import { ColourArea } from './ColourArea';
import { CONTRAST_OF, contrastWords, ratioOf, type Against } from './contrast-words';
import { colourFromScreen, hasEyeDropper } from './eye-dropper';
import { OwnColours } from './OwnColours';
import { keepRecent, recentColours } from './recent-colours';
import type { Picked } from './picked';
import type { TokenColour } from './token-colours';
import './ColourPicker.css';

/** Where somebody begins who has no colour yet: a middle one that is seen on light and dark. */
const BEGIN: Colour = { l: 0.5, c: 0.1, h: 200, alpha: 1 };

/** In which form a colour is written that is picked. */
type Form = 'hex' | 'oklch';

/** Six hexadecimal digits, eight of one that is not opaque (CSS Color 4, 5.2). */
export function hexOf(colour: Colour): string {
  if (colour.alpha >= 1) return nearestHex(colour);
  return (
    nearestHex(colour) +
    Math.round(colour.alpha * 255)
      .toString(16)
      .padStart(2, '0')
  );
}

const write = (colour: Colour, form: Form) => (form === 'hex' ? hexOf(colour) : writeOklch(colour));

const SLIDERS = [
  { label: 'Lightness', of: 'l', max: 1, step: 0.005 },
  { label: 'Chroma', of: 'c', max: MOST_CHROMA, step: 0.002 },
  { label: 'Hue', of: 'h', max: 360, step: 1 },
  { label: 'Opacity', of: 'alpha', max: 1, step: 0.01 },
] as const;

const SHOWN: Readonly<Record<keyof Colour, (value: number) => string>> = {
  l: (value) => `${Math.round(value * 100)} %`,
  c: (value) => value.toFixed(3),
  h: (value) => `${Math.round(value)}°`,
  alpha: (value) => `${Math.round(value * 100)} %`,
};

/**
 * Picks a colour: one of the site's, one picked lately, one from the screen, one that is typed, or any by lightness, chroma
 * and hue as people see them (OKLCH). It says at once whether words can be read. What is picked shows where it belongs
 * while one looks for it, as one step; Escape takes it back.
 */
export function ColourPicker({
  colour,
  token,
  tokens,
  against,
  hexOnly = false,
  onPick,
  onClose,
}: {
  /** What it is now, as CSS. */
  colour: string | undefined;
  /** Which token it is, where it is one. */
  token: string | undefined;
  /** What can be chosen of the site. */
  tokens: readonly TokenColour[];
  /** What it is seen against; nothing where nobody has to tell the two apart. */
  against: Against | undefined;
  /** Whether what it is for takes hexadecimal digits and tokens alone. */
  hexOnly?: boolean;
  /** Takes it, as one step with what was picked before under the same name. @returns why it cannot be, or nothing */
  onPick: (picked: Picked, group: string) => string;
  onClose: () => void;
}): ReactNode {
  const sync = useSync();
  const [group] = useState(() => stepOf('colour'));
  const begun = colour === undefined ? undefined : readColour(colour);
  const [picked, setPicked] = useState(begun ?? BEGIN);
  const [form, setForm] = useState<Form>(
    hexOnly || colour?.startsWith('#') || begun === undefined ? 'hex' : 'oklch',
  );
  const [recent] = useState(recentColours);
  const [wrong, setWrong] = useState('');
  const give = (css: string) => setWrong(onPick({ css }, group));
  const pick = (next: Colour, as = form) => {
    setPicked(next);
    give(write(next, as));
  };
  const take = (css: string): string => {
    const read = readColour(css);
    if (!read) return `“${css}” is no colour: #0b6b6f, teal, oklch(45% 0.1 195).`;
    setPicked(read);
    setForm(hexOnly || css.startsWith('#') ? 'hex' : 'oklch');
    give(hexOnly ? hexOf(read) : css);
    return '';
  };
  const typing = useDraft('colour', write(picked, form), take, () => undefined);
  // Whoever takes it may put before the name what it is the value of.
  const isGiven = () => sync.state.undo.at(-1)?.group?.endsWith(group) ?? false;
  const done = () => {
    if (isGiven()) keepRecent(write(picked, form));
    onClose();
  };
  const back = () => {
    if (isGiven()) sync.undo();
    onClose();
  };
  return (
    <div
      className="colour-picker"
      role="dialog"
      aria-label="Pick a colour"
      onKeyDown={(event) => {
        if (event.key !== 'Escape') return;
        // What is typed is dropped first, and nothing else hears of it.
        event.stopPropagation();
        if (typing.draft === null) back();
        else typing.drop();
      }}
    >
      <OwnColours
        tokens={tokens}
        chosen={token}
        onChoose={(chosen) => {
          const read = readColour(chosen.css);
          if (read) setPicked(read);
          setWrong(onPick({ token: chosen }, group));
        }}
      />
      <ColourArea colour={picked} onPick={pick} />
      {SLIDERS.map(({ label, of, max, step }) => (
        <label key={of} className={`colour-picker-row is-${of}`} style={trackOf(picked, of, max)}>
          <span>{label}</span>
          <Slider
            min={0}
            max={max}
            step={step}
            value={picked[of]}
            tooltip={{ open: false }}
            ariaLabelForHandle={label}
            ariaValueTextFormatterForHandle={SHOWN[of]}
            onChange={(value: number) => pick({ ...picked, [of]: value })}
          />
          <span className="mono">{SHOWN[of](picked[of])}</span>
        </label>
      ))}
      <div className="colour-written">
        <span
          className="swatch-words is-large"
          style={{ background: writeOklch(picked) }}
          aria-hidden
        />
        <input
          className="plain-field mono"
          aria-label="The colour, as CSS"
          aria-invalid={typing.wrong !== ''}
          value={typing.draft ?? write(picked, form)}
          onChange={({ target }) => typing.type(target.value)}
          onBlur={typing.commit}
          onKeyDown={({ key }) => {
            if (key === 'Enter') typing.commit();
          }}
        />
        {hexOnly ? null : (
          <button
            type="button"
            className="as-link"
            title="Write it in the other way"
            onClick={() => {
              const other = form === 'hex' ? 'oklch' : 'hex';
              setForm(other);
              pick(picked, other);
            }}
          >
            as {form === 'hex' ? 'OKLCH' : 'hex'}
          </button>
        )}
        {hasEyeDropper() ? (
          <IconButton
            icon={Pipette}
            name="Take a colour from the screen"
            onPress={() => void colourFromScreen().then((css) => css && take(css))}
          />
        ) : null}
      </div>
      <Wrong words={typing.wrong || wrong} />
      {recent.length > 0 ? (
        <div className="recent-colours" role="group" aria-label="Picked lately">
          {recent.map((css) => (
            <button
              key={css}
              type="button"
              className="swatch-words is-button is-large"
              style={{ background: css }}
              aria-label={css}
              title={css}
              onClick={() => setWrong(take(css))}
            />
          ))}
        </div>
      ) : null}
      <Says picked={picked} against={against} />
      <div className="colour-picker-actions">
        <button type="button" className="plain-button" onClick={back}>
          Leave it
        </button>
        <button type="button" className="plain-button primary" onClick={done}>
          Done
        </button>
      </div>
    </div>
  );
}

/** What a colour is worth: its contrast, and whether every screen can show it. */
function Says({ picked, against }: { picked: Colour; against: Against | undefined }): ReactNode {
  const ratio = against && ratioOf(picked, against);
  if (ratio === undefined && isOnEveryScreen(picked)) return null;
  return (
    <p className="colour-picker-says" role="status">
      {ratio === undefined || !against ? null : (
        <>
          {CONTRAST_OF[against.as]}: <b>{ratio.toFixed(2)} to 1</b>.{' '}
          {contrastWords(ratio, against.as)}
        </>
      )}{' '}
      {isOnEveryScreen(picked) ? '' : 'Not every screen can show it.'}
    </p>
  );
}

/** What a slider would make of a colour, from one end to the other (CSS Images 4, 3.1: interpolation in OKLCH). */
function trackOf(colour: Colour, of: keyof Colour, max: number): CSSProperties {
  const at = (value: number) => writeOklch({ ...colour, alpha: 1, [of]: value });
  const stops =
    of === 'h' ? [0, 60, 120, 180, 240, 300, 360].map(at) : [at(0), at(max / 2), at(max)];
  return { '--track': `linear-gradient(90deg, ${stops.join(', ')})` } as CSSProperties;
}
