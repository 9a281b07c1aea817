import { readClip, type Clip } from '@sormet/core/carry';
import { askForFile } from '../../parts/ask-for-file';

/** The largest file that is read as a clip, in bytes. */
const LARGEST_CLIP = 8_000_000;

/** Gives what was copied to whoever sits there, as a file. */
export function saveClip(clip: Clip, name: string): void {
  const file = new Blob([JSON.stringify(clip, null, 2)], { type: 'application/json' });
  const link = document.createElement('a');
  link.href = URL.createObjectURL(file);
  link.download = `${name}.clip.json`;
  link.click();
  URL.revokeObjectURL(link.href);
}

/**
 * Asks for a file with something that was copied.
 * @param say told why it cannot be read, where it cannot
 */
export function askForClip(take: (clip: Clip) => void, say: (words: string) => void): void {
  askForFile('.json,application/json', (file) => {
    if (file.size > LARGEST_CLIP)
      return say('That file is larger than anything that can be pasted.');
    void file.text().then((words) => {
      const clip = readClip(words);
      if (clip) take(clip);
      else say(`${file.name} holds nothing that was copied here: it is no clip of this version.`);
    });
  });
}
