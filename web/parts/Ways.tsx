import type { KeyboardEvent, ReactNode } from 'react';
import './Ways.css';

/** A value that can be chosen by a picture of what it does. */
export interface Way {
  readonly word: string;
  readonly value: string;
  /** What is told where it is pointed at: its word and its value, where nothing else is. */
  readonly title?: string;
}

/** Ways to choose from, each as a small picture of what it does; arrow keys walk them, as in any group of radio buttons. */
export function Ways<W extends Way>({
  label,
  ways,
  chosen,
  columns,
  draw,
  onChoose,
}: {
  label: string;
  ways: readonly W[];
  chosen: string | undefined;
  /** In how many columns the pictures stand. */
  columns: number;
  draw: (way: W) => ReactNode;
  onChoose: (value: string) => void;
}): ReactNode {
  const at = Math.max(
    0,
    ways.findIndex(({ value }) => value === chosen),
  );
  const walk = (event: KeyboardEvent<HTMLElement>, from: number) => {
    const step = STEPS[event.key];
    if (step === undefined) return;
    event.preventDefault();
    const by = Math.abs(step) > 1 ? Math.sign(step) * columns : step;
    const next = (from + by + ways.length) % ways.length;
    const buttons = event.currentTarget.parentElement?.querySelectorAll('button');
    buttons?.[next]?.focus();
    onChoose(ways[next]!.value);
  };
  return (
    <div
      className="ways"
      role="radiogroup"
      aria-label={label}
      style={{ gridTemplateColumns: `repeat(${columns},auto)` }}
    >
      {ways.map((way, i) => (
        <button
          key={way.value}
          type="button"
          role="radio"
          aria-checked={way.value === chosen}
          aria-label={way.word}
          title={way.title ?? `${way.word}: ${way.value}`}
          tabIndex={i === at ? 0 : -1}
          data-first={i === at ? true : undefined}
          onClick={() => onChoose(way.value)}
          onKeyDown={(event) => walk(event, i)}
        >
          {draw(way)}
        </button>
      ))}
    </div>
  );
}

const STEPS: Readonly<Record<string, number>> = {
  ArrowRight: 1,
  ArrowLeft: -1,
  ArrowDown: 2,
  ArrowUp: -2,
};
