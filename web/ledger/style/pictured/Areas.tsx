import { useState, type ReactNode } from 'react';
import { brokenArea, NO_AREA, readAreas, writeAreas } from '@sormet/core/style';
import { Wrong } from '../../../parts/Wrong';
import type { PicturedCell } from './pictured-cell';
import { usePicture } from './use-picture';

const BEGIN = [
  [NO_AREA, NO_AREA],
  [NO_AREA, NO_AREA],
];

/** The areas of a grid as a table of names: cells of one name are one area; a view of the CSS in the cell. */
export function Areas({ cell }: { cell: PicturedCell }): ReactNode {
  const picture = usePicture(cell);
  const stored = picture.css === undefined ? undefined : readAreas(picture.css);
  /** What is on its way, where it is not whole yet: a name that is no rectangle holds nothing. */
  const [draft, setDraft] = useState<readonly (readonly string[])[] | null>(null);
  const rows = draft ?? stored ?? BEGIN;
  const broken = draft ? brokenArea(draft) : undefined;
  const write = (next: readonly (readonly string[])[], part: string) => {
    if (brokenArea(next) !== undefined) return setDraft(next);
    setDraft(null);
    picture.give(writeAreas(next), part);
  };
  const setCell = (y: number, x: number, typed: string) =>
    write(
      rows.map((row, at) =>
        at === y ? row.map((was, of) => (of === x ? typed || NO_AREA : was)) : row,
      ),
      `${y} ${x}`,
    );
  const wide = rows[0]!.length;
  return (
    <div className="picture-editor">
      <div
        className="areas"
        role="group"
        aria-label="Areas, row by row"
        style={{ gridTemplateColumns: `repeat(${wide}, 72px)` }}
      >
        {rows.flatMap((row, y) =>
          row.map((name, x) => (
            <AreaName
              key={`${y} ${x}`}
              label={`row ${y + 1}, column ${x + 1}`}
              first={y === 0 && x === 0}
              name={name}
              hue={name === NO_AREA ? undefined : hueOf(name, rows)}
              onGive={(typed) => setCell(y, x, typed)}
            />
          )),
        )}
      </div>
      <Wrong
        words={
          broken === undefined
            ? ''
            : `“${broken}” is no rectangle yet: it is kept here until it is one.`
        }
      />
      <div className="layers">
        <button
          type="button"
          className="plain-button"
          onClick={() => write([...rows, rows.at(-1)!], `row ${rows.length}`)}
        >
          a row more
        </button>
        {rows.length > 1 ? (
          <button
            type="button"
            className="plain-button"
            onClick={() => write(rows.slice(0, -1), `row ${rows.length}`)}
          >
            a row less
          </button>
        ) : null}
        <button
          type="button"
          className="plain-button"
          onClick={() =>
            write(
              rows.map((row) => [...row, row.at(-1)!]),
              `column ${wide}`,
            )
          }
        >
          a column more
        </button>
        {wide > 1 ? (
          <button
            type="button"
            className="plain-button"
            onClick={() =>
              write(
                rows.map((row) => row.slice(0, -1)),
                `column ${wide}`,
              )
            }
          >
            a column less
          </button>
        ) : null}
      </div>
      <p className="quiet">What it holds stands in an area by grid-area and its name.</p>
    </div>
  );
}

function AreaName({
  label,
  first,
  name,
  hue,
  onGive,
}: {
  label: string;
  first: boolean;
  name: string;
  hue: number | undefined;
  onGive: (typed: string) => void;
}): ReactNode {
  const [typed, setTyped] = useState<string | null>(null);
  const commit = () => {
    if (typed !== null && typed.trim() !== name) onGive(typed.trim().replace(/\s+/g, '-'));
    setTyped(null);
  };
  return (
    <input
      className="plain-field area-name"
      aria-label={label}
      data-first={first ? true : undefined}
      style={hue === undefined ? undefined : { background: `oklch(92% 0.04 ${hue})` }}
      value={typed ?? (name === NO_AREA ? '' : name)}
      placeholder="empty"
      onChange={({ target }) => setTyped(target.value)}
      onBlur={commit}
      onKeyDown={({ key }) => {
        if (key === 'Enter') commit();
      }}
    />
  );
}

/** Areas are told apart by hue, beside their names. */
function hueOf(name: string, rows: readonly (readonly string[])[]): number {
  const names = [...new Set(rows.flat())].filter((each) => each !== NO_AREA);
  return Math.round((names.indexOf(name) * 360) / Math.max(1, names.length));
}
