import type { Branch } from '@sormet/core/ready';

/** How many lines are pasted at once, at the most. */
const MOST_LINES = 200;

/** Words as elements: paragraphs, between which a line is empty; in a list each line is one of its items. */
export function branchesOfWords(words: string, isInList: boolean): Branch[] {
  return words
    .replace(/\r\n?/g, '\n')
    .split(isInList ? /\n+/ : /\n\s*\n/)
    .map((line) => line.replace(/\s+/g, ' ').trim())
    .filter((line) => line !== '')
    .slice(0, MOST_LINES)
    .map((line) => ({ tag: isInList ? 'li' : 'p', text: line }));
}
