import { say } from '../../said';
import { tableOf, type Table, type TableFault } from './table';

/** How deep objects in objects become columns of their own. */
const DEEPEST = 6;

/**
 * A table from JSON (RFC 8259): a list of objects, an object that holds one somewhere, or an object for each line. What
 * stands in an object in it becomes a column named by its path (`address.town`); a list of words is one cell.
 */
export function readJson(text: string): Table {
  const faults: TableFault[] = [];
  const records = wholeOf(text) ?? lineByLine(text, faults);
  const columns = new Map<string, number>();
  const rows = records.map(({ line, record }) => {
    const cells = new Map<string, string>();
    flatten(record, [], cells);
    for (const name of cells.keys()) if (!columns.has(name)) columns.set(name, columns.size);
    return { line, cells };
  });
  const names = [...columns.keys()];
  return tableOf(
    names,
    rows.map(({ line, cells }) => ({ line, cells: names.map((name) => cells.get(name) ?? '') })),
    faults,
  );
}

type Fields = Readonly<Record<string, unknown>>;
type Found = { readonly line: number; readonly record: Fields };

/** Whether a text is JSON by how it begins. */
export function isJson(text: string): boolean {
  return /^\s*[[{]/.test(text);
}

function wholeOf(text: string): Found[] | undefined {
  let whole: unknown;
  try {
    whole = JSON.parse(text);
  } catch {
    // Perhaps one object for each line.
    return undefined;
  }
  const list = listIn(whole, 0);
  if (!list) return isRecord(whole) ? [{ line: 1, record: whole }] : [];
  const lines = linesOfItems(text, list.length);
  return list.map((each, i) => ({
    line: lines[i] ?? i + 1,
    record: isRecord(each) ? each : { value: each },
  }));
}

/** The first list of objects in something that was read, looked for from the outside in. */
function listIn(value: unknown, depth: number): unknown[] | undefined {
  if (Array.isArray(value)) return value as unknown[];
  if (!isRecord(value) || depth > 3) return undefined;
  const members = Object.values(value);
  const lists = members.filter(
    (each): each is unknown[] => Array.isArray(each) && each.some(isRecord),
  );
  // What has several is a record itself.
  if (lists.length === 1) return lists[0];
  if (lists.length > 1) return undefined;
  for (const each of members) {
    const found = isRecord(each) ? listIn(each, depth + 1) : undefined;
    if (found) return found;
  }
  return undefined;
}

/** The lines on which the items of the outermost list begin, as far as that shows: where one follows the other. */
function linesOfItems(text: string, many: number): number[] {
  const lines: number[] = [];
  let [line, depth, inText, isNext] = [1, 0, false, true];
  let listDepth = 0;
  for (let i = 0; i < text.length && lines.length < many; i += 1) {
    const sign = text[i]!;
    if (sign === '\n') line += 1;
    if (inText) {
      if (sign === '\\') i += 1;
      else if (sign === '"') inText = false;
      continue;
    }
    if (sign === '"') inText = true;
    if (sign === '[' || sign === '{') {
      depth += 1;
      if (sign === '[' && listDepth === 0) {
        listDepth = depth;
        isNext = true;
        continue;
      }
    }
    if (listDepth > 0 && depth === listDepth + 1 && sign === '{' && isNext) {
      lines.push(line);
      isNext = false;
    }
    if (sign === ']' || sign === '}') depth -= 1;
    if (sign === ',' && depth === listDepth) isNext = true;
  }
  return lines;
}

function lineByLine(text: string, faults: TableFault[]): Found[] {
  return text.split(/\r\n|\n|\r/).flatMap((words, i): Found[] => {
    if (words.trim() === '') return [];
    try {
      const record: unknown = JSON.parse(words);
      if (isRecord(record)) return [{ line: i + 1, record }];
    } catch {
      // Told below, with its line.
    }
    faults.push({ line: i + 1, why: say('line-no-object') });
    return [];
  });
}

function isRecord(value: unknown): value is Fields {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}

function flatten(value: unknown, path: readonly string[], cells: Map<string, string>): void {
  if (isRecord(value) && path.length < DEEPEST && Object.keys(value).length > 0) {
    for (const [name, inner] of Object.entries(value)) flatten(inner, [...path, name], cells);
    return;
  }
  cells.set(path.join('.'), cellOf(value));
}

function cellOf(value: unknown): string {
  if (value === null || value === undefined) return '';
  if (typeof value === 'string') return value;
  if (typeof value === 'number' || typeof value === 'boolean') return String(value);
  if (Array.isArray(value)) {
    const all = value as unknown[];
    if (all.length === 0) return '';
    const words = all.every((each) => typeof each === 'string' && !/[;|\n]/.test(each));
    if (words || all.every((each) => typeof each === 'number')) return all.join('; ');
  }
  return JSON.stringify(value);
}
