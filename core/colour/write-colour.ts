import { clampChroma, formatHex, rgb, type Oklch } from 'culori';
import { written } from '../style';
import type { Colour } from './read-colour';

/** A colour as CSS in OKLCH: lightness in percent, chroma, hue, as fine as an eye can tell. */
export function writeOklch({ l, c, h, alpha }: Colour): string {
  const round = (value: number, digits: number) => written(Number(value.toFixed(digits)));
  const opacity = alpha < 1 ? ` / ${round(alpha, 2)}` : '';
  return `oklch(${round(l * 100, 1)}% ${round(c, 4)} ${round(h, 1)}${opacity})`;
}

/** The nearest colour that every screen can show, as six hexadecimal digits: less chroma, the same lightness and hue. */
export function nearestHex(colour: Colour): string {
  const { l, c, h } = colour;
  const at: Oklch = { mode: 'oklch', l, c, h };
  return formatHex(isOnEveryScreen(colour) ? at : clampChroma(at, 'oklch'));
}

/** By how much rounding alone may take a share of red, green or blue out of its range: one of the 256 steps it has. */
const BY_ROUNDING = 1 / 255;

/** Whether every screen can show a colour (that it lies in sRGB): what rounding alone takes out of it, it can. */
export function isOnEveryScreen({ l, c, h }: Colour): boolean {
  const { r, g, b } = rgb({ mode: 'oklch', l, c, h } satisfies Oklch);
  return [r, g, b].every((share) => share >= -BY_ROUNDING && share <= 1 + BY_ROUNDING);
}
