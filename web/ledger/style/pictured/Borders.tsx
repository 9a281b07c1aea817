import { useState, type ReactNode } from 'react';
import { useDerived } from '../../../site/SiteProvider';
import { Wrong } from '../../../parts/Wrong';
import { Ways } from '../../../parts/Ways';
import { PartColour } from './PartColour';
import { PartField } from './PartField';
import type { PicturedCell } from './pictured-cell';
import { colourWords } from './colour-words';

const SIDES = ['top', 'right', 'bottom', 'left'] as const;
type Side = (typeof SIDES)[number];

const STYLES = [
  { word: 'none', value: 'none' },
  { word: 'a line', value: 'solid' },
  { word: 'dashes', value: 'dashed' },
  { word: 'dots', value: 'dotted' },
  { word: 'two lines', value: 'double' },
];

/** The border of a box: on which sides, how wide, of which kind and colour; a view of the CSS in the rows below. */
export function Borders({ cell }: { cell: PicturedCell }): ReactNode {
  const { property, valueOf, give } = cell;
  const { documents } = useDerived();
  const [opened] = useState(() => Date.now());
  const [wrong, setWrong] = useState('');
  const only = SIDES.find((side) => property === `border-${side}`);
  const [chosen, setChosen] = useState<readonly Side[]>(only ? [only] : SIDES);
  const [first = 'top'] = chosen;
  const nameOf = (side: Side, part: string) => `border-${side}-${part}`;
  const now = (part: string) => valueOf(nameOf(first, part));
  const write = (part: string, typed: string, group = `border ${part} ${opened}`) => {
    if (chosen.length === 0) return 'No side is ticked.';
    const line = now('style');
    for (const side of chosen) {
      const reason =
        give(nameOf(side, part), typed, group) ||
        // A border without a kind of line is none, whatever it is otherwise (CSS Backgrounds and Borders 3, 3.2).
        (part !== 'style' && typed !== '' && (line === undefined || line === 'none')
          ? give(nameOf(side, 'style'), 'solid', group)
          : '');
      if (reason) return reason;
    }
    return '';
  };
  return (
    <div className="picture-editor">
      {only ? null : (
        <div className="layers" role="group" aria-label="Sides that are written">
          {SIDES.map((side) => (
            <label key={side}>
              <input
                type="checkbox"
                checked={chosen.includes(side)}
                onChange={({ target }) =>
                  setChosen(
                    SIDES.filter((each) =>
                      each === side ? target.checked : chosen.includes(each),
                    ),
                  )
                }
              />
              {side}
            </label>
          ))}
        </div>
      )}
      <Ways
        label="Kind of line"
        ways={STYLES}
        columns={5}
        chosen={now('style')}
        draw={({ value }) => (
          <span className="picture is-line" aria-hidden>
            <i style={{ borderTop: `3px ${value} var(--ink)` }} />
          </span>
        )}
        onChoose={(value) => setWrong(write('style', value))}
      />
      <Wrong words={wrong} />
      <div className="parts">
        <PartField
          label="width"
          stored={now('width') ?? ''}
          give={(typed, group) => write('width', typed, group)}
        />
        <PartColour
          label="colour"
          part={colourWords(now('color') ?? '', documents.tokens.tokens)}
          give={(typed, group) => write('color', typed, group)}
        />
      </div>
    </div>
  );
}
