import Papa from 'papaparse';
import type { Range } from './walking';

/**
 * The lines of a block that was copied in another program (tab-separated values, IANA text/tab-separated-values). One cell
 * alone, or one line where more lines are selected, fills all that is selected.
 */
export function pastedLines(text: string, { top, bottom, left, right }: Range): string[][] {
  const block = Papa.parse<string[]>(text.replace(/\r?\n$/, ''), { delimiter: '\t' }).data;
  const [first] = block;
  if (block.length !== 1 || !first) return block;
  const line =
    first.length === 1 ? Array.from({ length: right - left + 1 }, () => first[0]!) : first;
  return Array.from({ length: bottom - top + 1 }, () => line);
}
