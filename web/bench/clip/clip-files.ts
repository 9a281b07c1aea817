import { readClip, type Clip } from '@sormet/core/carry';
import { askForFile } from '../../parts/ask-for-file';
import { saveFile } from '../../parts/save-file';

/** The largest file that is read as a clip, in bytes. */
const LARGEST_CLIP = 8_000_000;

/** Gives what was copied to whoever sits there, as a file. */
export function saveClip(clip: Clip, name: string): void {
  saveFile(`${name}.clip.json`, JSON.stringify(clip, null, 2), 'application/json');
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
