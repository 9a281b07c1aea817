/** Takes a colour from anywhere on the screen (EyeDropper API, WICG). */
interface EyeDropper {
  open(): Promise<{ readonly sRGBHex: string }>;
}

/** Whether this browser can take a colour from the screen. */
export function hasEyeDropper(): boolean {
  return 'EyeDropper' in window;
}

/** The colour that somebody points at, as six hexadecimal digits; nothing where they leave it. */
export async function colourFromScreen(): Promise<string | undefined> {
  const { EyeDropper } = window as unknown as { EyeDropper: new () => EyeDropper };
  try {
    return (await new EyeDropper().open()).sRGBHex;
  } catch (left) {
    // Escape leaves it (EyeDropper API, 3.2): nothing was picked.
    if ((left as DOMException).name === 'AbortError') return undefined;
    throw left;
  }
}
