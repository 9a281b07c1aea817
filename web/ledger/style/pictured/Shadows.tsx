import { useState, type ReactNode } from 'react';
import { Plus, X } from 'lucide-react';
import { readShadows, writeShadows, type Shadow } from '@sormet/core/style';
import { IconButton } from '../../../parts/IconButton';
import { Ways } from '../../../parts/Ways';
import { PartColour } from './PartColour';
import { PartField } from './PartField';
import type { PicturedCell } from './pictured-cell';
import { usePicture } from './use-picture';

/** Shadows of a box to begin with, from none to one that floats (common practice, no published source). */
const BOXES = [
  { word: 'no shadow', value: 'none' },
  { word: 'an edge', value: '0 1px 2px #0003' },
  { word: 'lifted', value: '0 4px 12px #0003' },
  { word: 'floating', value: '0 12px 32px #0004' },
  { word: 'a line around', value: '0 0 0 1px #0004' },
  { word: 'sunk in', value: 'inset 0 2px 6px #0004' },
];
const OF_WORDS = [
  { word: 'no shadow', value: 'none' },
  { word: 'to be read on a picture', value: '0 1px 3px #000a' },
  { word: 'set off', value: '2px 2px 0 #0004' },
];

const NEW: Shadow = { x: '0', y: '4px', blur: '12px', spread: '0', colour: '#0003', inset: false };

/** Shadows one by one: how far, how soft, of which colour; each a view of the CSS in the cell. */
export function Shadows({ cell }: { cell: PicturedCell }): ReactNode {
  const { property, shown, choose } = cell;
  const picture = usePicture(cell);
  const isBox = property === 'box-shadow';
  const shadows = picture.css === undefined ? [] : readShadows(picture.css, picture.isColour);
  const [at, setAt] = useState(0);
  const presets = (
    <Ways
      label="Shadows to begin with"
      ways={isBox ? BOXES : OF_WORDS}
      columns={isBox ? 6 : 3}
      chosen={shown}
      draw={({ value }) => (
        <span className="picture is-shadow" aria-hidden>
          {isBox ? <i style={{ boxShadow: value }} /> : <b style={{ textShadow: value }}>Aa</b>}
        </span>
      )}
      onChoose={choose}
    />
  );
  if (!shadows)
    return (
      <div className="picture-editor">
        {presets}
        <p className="quiet">
          What stands there is a token, or is written in another way: it is edited in its cell.
        </p>
      </div>
    );
  const current = Math.min(at, shadows.length - 1);
  const write = (next: readonly Shadow[], part: string) =>
    picture.give(picture.words(writeShadows(next)), part);
  const setPart = (part: keyof Shadow, value: Shadow[typeof part]) =>
    write(
      shadows.map((each, i) => (i === current ? { ...each, [part]: value } : each)),
      `${current} ${part}`,
    );
  const now = shadows[current];
  return (
    <div className="picture-editor">
      {presets}
      <div className="layers" role="group" aria-label="Shadows">
        {shadows.map((each, i) => (
          <span key={i} className={i === current ? 'layer is-lit' : 'layer'}>
            <button type="button" aria-pressed={i === current} onClick={() => setAt(i)}>
              {picture.words(writeShadows([each]))}
            </button>
            <IconButton
              icon={X}
              name={`Take shadow ${i + 1} away`}
              onPress={() =>
                write(
                  shadows.filter((_, other) => other !== i),
                  `without ${i}`,
                )
              }
            />
          </span>
        ))}
        <button
          type="button"
          className="as-link add-layer"
          onClick={() => {
            write([...shadows, NEW], `with ${shadows.length}`);
            setAt(shadows.length);
          }}
        >
          <Plus size={12} aria-hidden /> add a shadow
        </button>
      </div>
      {now ? (
        <div className="parts">
          <PartField
            label="to the right"
            stored={picture.words(now.x)}
            give={(typed) => setPart('x', typed)}
          />
          <PartField
            label="down"
            stored={picture.words(now.y)}
            give={(typed) => setPart('y', typed)}
          />
          <PartField
            label="soft"
            stored={picture.words(now.blur)}
            give={(typed) => setPart('blur', typed)}
          />
          {isBox ? (
            <PartField
              label="wider"
              stored={picture.words(now.spread)}
              give={(typed) => setPart('spread', typed)}
            />
          ) : null}
          <PartColour
            label="colour"
            part={picture.colour(now.colour)}
            give={(typed) => setPart('colour', typed || undefined)}
          />
          {isBox ? (
            <label className="part-tick">
              <input
                type="checkbox"
                checked={now.inset}
                onChange={({ target }) => setPart('inset', target.checked)}
              />
              within
            </label>
          ) : null}
        </div>
      ) : null}
    </div>
  );
}
