import { splitAt } from '../split-at';
import { written } from '../reading/arithmetic';

/** How many tracks are told one by one at most. */
const MOST = 24;

/**
 * The tracks of a grid, one by one, `repeat()` with a number written out (CSS Grid Layout 2, 7.2).
 * @returns nothing where their number follows from the room (`auto-fill`), where lines have names, or there are none
 */
export function readTracks(css: string): string[] | undefined {
  const tracks: string[] = [];
  for (const word of splitAt(css, ' ')) {
    const [, inner] = /^repeat\((.*)\)$/is.exec(word) ?? [];
    if (inner === undefined) {
      if (/^(none|subgrid|masonry|\[.*)$/i.test(word)) return undefined;
      tracks.push(word);
      continue;
    }
    const [many = '', ...what] = splitAt(inner, ',');
    if (!/^\s*\d+\s*$/.test(many)) return undefined;
    const each = readTracks(what.join(','));
    if (!each || Number(many) * each.length > MOST) return undefined;
    for (let i = 0; i < Number(many); i += 1) tracks.push(...each);
  }
  return tracks.length === 0 || tracks.length > MOST ? undefined : tracks;
}

/** Tracks as CSS; three or more of one kind as `repeat()`. */
export function writeTracks(tracks: readonly string[]): string {
  const [first] = tracks;
  return tracks.length > 2 && tracks.every((each) => each === first)
    ? `repeat(${tracks.length}, ${first})`
    : tracks.join(' ');
}

/** The share of a track that is one: `2fr` is 2. */
export function shareOf(track: string): number | undefined {
  const [, number] = /^(\d+\.?\d*|\.\d+)fr$/i.exec(track) ?? [];
  return number === undefined ? undefined : Number(number);
}

/**
 * Tracks after the line behind one of them was moved: where both beside it are shares they stay shares of the same room,
 * else the one that has a length of its own takes the new one.
 * @param line which line: 0 is the one behind the first track
 * @param sizes how large each track is now, in px
 * @param by how far the line goes, in px
 */
export function lineMoved(
  tracks: readonly string[],
  line: number,
  sizes: readonly number[],
  by: number,
): string[] {
  const next = [...tracks];
  const [before, after] = [sizes[line]!, sizes[line + 1]!];
  const kept = Math.min(Math.max(by, -before), after);
  const [left, right] = [shareOf(tracks[line]!), shareOf(tracks[line + 1]!)];
  const px = (size: number) => `${written(Math.round(size))}px`;
  if (left !== undefined && right !== undefined) {
    const room = before + after;
    // As fine as a twentieth: what is finer nobody reads.
    const share = Math.round(((before + kept) / room) * (left + right) * 20) / 20;
    next[line] = `${written(share)}fr`;
    next[line + 1] = `${written(left + right - share)}fr`;
  } else if (left !== undefined) next[line + 1] = px(after - kept);
  else next[line] = px(before + kept);
  return next;
}
