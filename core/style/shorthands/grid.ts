import { slashedOf, textOf, type Longhands, type Part } from './value';

/** A line that is no number and no keyword, and so names an area's edges (CSS Grid 2, 8.3). */
function isIdent(line: string): boolean {
  return /^(?:[^\d\s+-]|-[^\d\s])[^\s(]*$/.test(line) && line !== 'auto' && line !== 'span';
}

/** `grid-row` and `grid-column`: from a line to a line (CSS Grid 2, 8.4); a name alone is both. */
export function splitToLines(names: readonly string[], parts: readonly Part[]): Longhands {
  const lines = slashedOf(parts).map(textOf);
  const like = (line: string) => (isIdent(line) ? line : 'auto');
  if (names.length === 2) {
    const [start = 'auto', end = like(start)] = lines;
    return { [names[0]!]: start, [names[1]!]: end };
  }
  const [rowStart = 'auto', columnStart = like(rowStart)] = lines;
  const [, , rowEnd = like(rowStart), columnEnd = like(columnStart)] = lines;
  return Object.fromEntries(
    [rowStart, columnStart, rowEnd, columnEnd].map((line, i) => [names[i]!, line]),
  );
}

/** Lines as short as CSS allows. */
export function joinLines(lines: readonly string[]): string {
  const written = [...lines];
  const from = (at: number) => (lines.length === 2 || at < 2 ? 0 : at - 2);
  for (let at = lines.length - 1; at > 0; at -= 1) {
    const start = lines[from(at)]!;
    if (lines[at] !== (isIdent(start) ? start : 'auto')) break;
    written.pop();
  }
  return written.join(' / ');
}

const IMPLICIT = { 'grid-auto-flow': 'row', 'grid-auto-rows': 'auto', 'grid-auto-columns': 'auto' };

/** `grid-template`: rows and columns, or a picture of areas in strings (CSS Grid 2, 7.4). */
export function splitToTemplate(parts: readonly Part[]): Longhands {
  if (parts.some(({ node }) => node.type === 'String')) return splitToAreas(parts);
  const [rows = [], columns] = slashedOf(parts);
  return {
    'grid-template-rows': textOf(rows),
    'grid-template-columns': columns ? textOf(columns) : textOf(rows),
    'grid-template-areas': 'none',
  };
}

function splitToAreas(parts: readonly Part[]): Longhands {
  const [rows = [], columns] = slashedOf(parts);
  const areas = rows.filter(({ node }) => node.type === 'String');
  const tracks: string[] = [];
  let sized = true;
  for (const { node, text } of rows) {
    if (node.type === 'String') {
      if (!sized) tracks.push('auto');
      sized = false;
    } else if (node.type === 'Brackets') {
      // Names behind a row whose size was left out: it is `auto`. Names before the first string stand first.
      if (!sized && isLastOfRow(rows, node)) {
        tracks.push('auto');
        sized = true;
      }
      const before = tracks.at(-1);
      // Names that meet are one set of names.
      if (before?.startsWith('['))
        tracks[tracks.length - 1] = `${before.slice(0, -1)} ${text.slice(1)}`;
      else tracks.push(text);
    } else {
      tracks.push(text);
      sized = true;
    }
  }
  if (!sized) tracks.push('auto');
  return {
    'grid-template-rows': tracks.join(' '),
    'grid-template-columns': columns ? textOf(columns) : 'none',
    'grid-template-areas': textOf(areas),
  };
}

/** Whether names stand behind a string, not before one that is the next. */
function isLastOfRow(rows: readonly Part[], node: Part['node']): boolean {
  const at = rows.findIndex((part) => part.node === node);
  return rows[at - 1]?.node.type === 'String';
}

/** `grid`: what is explicit as `grid-template` has it, or what flows by itself in one direction (CSS Grid 2, 7.8). */
export function splitToGrid(parts: readonly Part[]): Longhands {
  const flowing = parts.some(({ text }) => text === 'auto-flow');
  if (!flowing) return { ...splitToTemplate(parts), ...IMPLICIT };
  const [rows = [], columns = []] = slashedOf(parts);
  const flowsInRows = rows.some(({ text }) => text === 'auto-flow');
  const flow = flowsInRows ? rows : columns;
  const dense = flow.some(({ text }) => text === 'dense') ? ' dense' : '';
  const tracks = textOf(flow.filter(({ text }) => text !== 'auto-flow' && text !== 'dense'));
  const way = flowsInRows ? 'row' : 'column';
  return {
    'grid-template-areas': 'none',
    ...IMPLICIT,
    'grid-template-rows': flowsInRows ? 'none' : textOf(rows),
    'grid-template-columns': flowsInRows ? textOf(columns) : 'none',
    'grid-auto-flow': way === 'row' && dense ? 'dense' : way + dense,
    [`grid-auto-${way}s`]: tracks || 'auto',
  };
}

/** One value of `grid` or `grid-template`; it is for the caller to look whether it says the same. */
export function joinTemplate(values: Readonly<Longhands>): string {
  const rows = values['grid-template-rows']!;
  const columns = values['grid-template-columns']!;
  const areas = values['grid-template-areas']!;
  const flow = values['grid-auto-flow'];
  if (flow !== undefined && flow !== 'row' && areas === 'none') {
    const dense = /dense/.test(flow) ? ' dense' : '';
    const auto = values[`grid-auto-${flow.startsWith('column') ? 'columns' : 'rows'}`]!;
    const flowing = `auto-flow${dense}${auto === 'auto' ? '' : ` ${auto}`}`;
    return flow.startsWith('column') ? `${rows} / ${flowing}` : `${flowing} / ${columns}`;
  }
  const auto = values['grid-auto-rows'];
  if (auto !== undefined && auto !== 'auto' && areas === 'none')
    return `auto-flow ${auto} / ${columns}`;
  if (areas === 'none')
    return rows === 'none' && columns === 'none' ? 'none' : `${rows} / ${columns}`;
  const strings = areas.match(/"[^"]*"|'[^']*'/g) ?? [];
  const sizes = rows.split(/ (?![^([]*[)\]])/);
  const drawn = strings.flatMap((row, i) =>
    sizes[i] === undefined || sizes[i] === 'auto' ? [row] : [row, sizes[i]],
  );
  return [drawn.join(' '), ...(columns === 'none' ? [] : ['/', columns])].join(' ');
}
