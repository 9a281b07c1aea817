import { keep, kept } from './kept';

const KEY = 'sormet.go-line.recent';
/** How many choices are remembered. */
const MOST = 12;

/** What was chosen in the go line lately in this browser, the last first. */
export function recentChoices(): readonly string[] {
  const read = (stored: unknown) =>
    Array.isArray(stored) ? stored.filter((each) => typeof each === 'string') : undefined;
  return kept<readonly string[]>(KEY, read, []);
}

/** Remembers a choice as the last one. */
export function rememberChoice(value: string): void {
  keep(KEY, [value, ...recentChoices().filter((each) => each !== value)].slice(0, MOST));
}
