import { useState, type ReactNode } from 'react';
import { keep, kept } from '../../../store/kept';
import { PartField } from './PartField';

/** One of the four of a box: a side, or a corner. */
interface Of {
  readonly longhand: string;
  /** What it is called, and where it stands in the picture. */
  readonly side: string;
  /** Which of the four stands across from it. */
  readonly across: number;
}

const SIDES = ['top', 'right', 'bottom', 'left'] as const;
const CORNERS = ['top-left', 'top-right', 'bottom-right', 'bottom-left'] as const;

/** The four that a shorthand stands for, from the top and round by the right; nothing of others. */
export function fourOf(property: string): readonly Of[] | undefined {
  const across = (at: number) => (at + 2) % 4;
  if (property === 'border-radius')
    return CORNERS.map((side, at) => ({
      longhand: `border-${side}-radius`,
      side,
      across: across(at),
    }));
  const [, border] = /^border-(width|style|color)$/.exec(property) ?? [];
  const nameOf = (side: string) =>
    border ? `border-${side}-${border}` : property === 'inset' ? side : `${property}-${side}`;
  return /^(padding|margin|inset|border-width|scroll-margin|scroll-padding)$/.test(property)
    ? SIDES.map((side, at) => ({ longhand: nameOf(side), side, across: across(at) }))
    : undefined;
}

/** Which of the four are written together. */
const TOGETHER = ['each', 'pairs', 'all'] as const;
type Together = (typeof TOGETHER)[number];
const WORDS: Readonly<Record<Together, string>> = {
  each: 'each by itself',
  pairs: 'in pairs',
  all: 'all alike',
};

const KEY = 'sormet.sides.together';
const isTogether = (stored: unknown) => TOGETHER.find((each) => each === stored);

/** A box with a field on each of its sides or corners; those across from each other, or all, can be written together. */
export function Sides({
  property,
  valueOf,
  give,
}: {
  property: string;
  /** What a longhand is declared as, as people read it. */
  valueOf: (longhand: string) => string | undefined;
  /** Declares a property. @returns why it cannot be, or nothing */
  give: (property: string, typed: string, group?: string) => string;
}): ReactNode {
  const [together, setTogether] = useState(() => kept<Together>(KEY, isTogether, 'each'));
  const four = fourOf(property)!;
  const write = (at: number, typed: string, group: string) => {
    const all =
      together === 'all'
        ? four
        : together === 'pairs'
          ? [four[at]!, four[four[at]!.across]!]
          : [four[at]!];
    for (const { longhand } of all) {
      const reason = give(longhand, typed, group);
      if (reason) return reason;
    }
    return '';
  };
  return (
    <div className="sides-editor">
      <div
        className={`sides is-${property}`}
        role="group"
        aria-label={`${property}, ${property === 'border-radius' ? 'corner by corner' : 'side by side'}`}
      >
        {four.map(({ side, longhand }, i) => (
          <span key={side} className={`side side-${side}`}>
            <PartField
              label={side}
              shown={null}
              first={i === 0}
              stored={valueOf(longhand) ?? ''}
              give={(typed, group = `sides ${side} ${Date.now()}`) => write(i, typed, group)}
            />
          </span>
        ))}
        <span className="sides-box" aria-hidden>
          {BOX_WORDS[property] ?? ''}
        </span>
      </div>
      <div className="sides-together" role="radiogroup" aria-label="Written together">
        {TOGETHER.map((each) => (
          <label key={each}>
            <input
              type="radio"
              name="together"
              checked={together === each}
              onChange={() => {
                setTogether(each);
                keep(KEY, each);
              }}
            />
            {WORDS[each]}
          </label>
        ))}
      </div>
    </div>
  );
}

const BOX_WORDS: Readonly<Record<string, string>> = {
  padding: 'room within',
  margin: 'room around',
  inset: 'from the edge',
};
