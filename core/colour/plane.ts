import { rgb, type Oklch } from 'culori';
import { isOnEveryScreen } from './write-colour';

/** The most chroma that is worth picking: beyond it lies nothing that a screen of Display P3 shows (CSS Color 4, 10.4). */
export const MOST_CHROMA = 0.37;

/**
 * The colours of one hue as a picture of that many pixels, four shares of 0 to 255 for each (red, green, blue, opacity):
 * chroma from 0 at the left to `MOST_CHROMA`, lightness from 1 at the top to 0. Clear where not every screen can show it.
 */
export function planeOf(
  hue: number,
  width: number,
  height: number,
): Uint8ClampedArray<ArrayBuffer> {
  const shares = new Uint8ClampedArray(width * height * 4);
  for (let y = 0; y < height; y += 1)
    for (let x = 0; x < width; x += 1) {
      const l = 1 - y / (height - 1);
      const c = (x / (width - 1)) * MOST_CHROMA;
      if (!isOnEveryScreen({ l, c, h: hue, alpha: 1 })) continue;
      const { r, g, b } = rgb({ mode: 'oklch', l, c, h: hue } satisfies Oklch);
      shares.set([r * 255, g * 255, b * 255, 255], (y * width + x) * 4);
    }
  return shares;
}
