import { keep, kept } from '../../store/kept';

const KEY = 'sormet recent colours';
/** How many are kept: as many as stand in one line of the picker. */
const MOST = 10;

/** The colours that were picked last in this browser, as CSS, the last one first. */
export function recentColours(): readonly string[] {
  return kept<readonly string[]>(
    KEY,
    (stored) =>
      Array.isArray(stored) && stored.every((each) => typeof each === 'string')
        ? stored.slice(0, MOST)
        : undefined,
    [],
  );
}

/** Keeps a colour as the one that was picked last. */
export function keepRecent(css: string): void {
  keep(KEY, [css, ...recentColours().filter((each) => each !== css)].slice(0, MOST));
}
