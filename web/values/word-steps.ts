/**
 * Which step to undo each key of a stretch of typing belongs to: a word with the space before it is one, and so is
 * a stretch of taking away. Told the text after every key.
 */
export class WordSteps {
  private step = 0;
  private last: string;
  private before: 'word' | 'space' | 'away' = 'word';

  constructor(text: string) {
    this.last = text;
  }

  /** The number of the step that a text belongs to which was just typed. */
  after(text: string): number {
    const typed = insertedInto(this.last, text);
    const now = typed === '' ? 'away' : /^\s/.test(typed) ? 'space' : 'word';
    // A space begins a step, unless it follows a space; a word after a space goes on with it.
    const begins =
      (now === 'space' && this.before !== 'space') || (now === 'away') !== (this.before === 'away');
    if (begins && this.step + this.last.length > 0) this.step += 1;
    this.before = now;
    this.last = text;
    return this.step;
  }
}

/** What was put into a text to make another of it; `''` when something was only taken away. */
export function insertedInto(before: string, after: string): string {
  let start = 0;
  while (start < before.length && start < after.length && before[start] === after[start])
    start += 1;
  let end = 0;
  while (
    end < before.length - start &&
    end < after.length - start &&
    before[before.length - 1 - end] === after[after.length - 1 - end]
  )
    end += 1;
  return after.slice(start, after.length - end);
}
