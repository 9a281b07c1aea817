import { readClip, wordsOf, type Clip } from '@sormet/core/carry';

/** Under which type a clip lies on the clipboard, beside its words. */
export const CLIP_TYPE = 'application/vnd.sormet.clip+json';

const KEY = 'sormet.clip';
/** Where the browser keeps nothing, what was copied holds as long as the window. */
let held: string | null = null;

/** Remembers what was copied last, for every window of this browser. */
export function keepClip(clip: Clip): string {
  held = JSON.stringify(clip);
  try {
    localStorage.setItem(KEY, held);
  } catch {
    // Storage is full or closed: it can still be pasted in this window.
    localStorage.removeItem(KEY);
  }
  return held;
}

/** What was copied last; nothing when nothing was, or by another version. */
export function keptClip(): Clip | undefined {
  const text = localStorage.getItem(KEY) ?? held;
  return text === null ? undefined : readClip(text);
}

/** What lies on the clipboard as a clip: by its type, or because its words are those of what was copied here last. */
export function clipIn(data: DataTransfer): Clip | undefined {
  const typed = data.getData(CLIP_TYPE);
  if (typed !== '') return readClip(typed);
  const words = data.getData('text/plain');
  const last = keptClip();
  return last && words !== '' && sameWords(words, wordsOf(last)) ? last : undefined;
}

/** Systems write the ends of lines in their own way. */
function sameWords(one: string, other: string): boolean {
  return one.replace(/\r\n?/g, '\n') === other.replace(/\r\n?/g, '\n');
}
