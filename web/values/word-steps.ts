/**
 * Which step to undo each key of a stretch of typing belongs to: a word with the space before it is one. Told the
 * text after every key.
 */
export class WordSteps {
  private step = 0;
  private last: string;
  private afterSpace = false;

  constructor(text: string) {
    this.last = text;
  }

  /** The number of the step that a text belongs to which was just typed. */
  after(text: string): number {
    const space = /^\s/.test(insertedInto(this.last, text));
    // A space begins a step, unless it follows a space; the word after it goes on with it.
    if (space && !this.afterSpace) this.step += 1;
    this.afterSpace = space;
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
