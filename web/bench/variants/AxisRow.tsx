import type { ComponentProps, KeyboardEvent, ReactNode } from 'react';
import type { AxisOffered } from './axes-of';
import { useOrdered, type Dragged } from './OrderedVariants';
import './Axes.css';

/** The options of an axis in a row, one of them chosen; arrow keys step through them, as in any group of radio buttons (WAI-ARIA). */
export function AxisRow({
  axis: { id: axis, label, options, base },
  chosen,
  name,
  isOrdered = false,
  onChoose,
}: {
  axis: AxisOffered;
  /** The option that is chosen; nothing where it is none of those that are offered. */
  chosen: string | undefined;
  /** What the row is called, for whoever does not see where it stands. */
  name: string;
  /** Whether the axis and its options are put in order by dragging them. */
  isOrdered?: boolean;
  onChoose: (option: string) => void;
}): ReactNode {
  const at = Math.max(
    0,
    options.findIndex(({ id }) => id === chosen),
  );
  const walk = (event: KeyboardEvent<HTMLElement>, from: number) => {
    const step = STEPS[event.key];
    if (step === undefined) return;
    event.preventDefault();
    event.stopPropagation();
    const next = (from + step + options.length) % options.length;
    event.currentTarget.parentElement?.querySelectorAll('button')[next]?.focus();
    onChoose(options[next]!.id);
  };
  return (
    <div className="axis" role="radiogroup" aria-label={name}>
      <AxisName dragged={isOrdered ? { is: 'axis', id: axis } : null} label={label} />
      {options.map(({ id, label: word }, i) => (
        <Option
          key={id}
          dragged={isOrdered ? { is: 'option', axis, id } : null}
          aria-checked={id === chosen}
          tabIndex={i === at ? 0 : -1}
          title={id === base ? `${word}: the base, as it is without a variant` : word}
          onClick={() => onChoose(id)}
          onKeyDown={(event) => walk(event, i)}
        >
          {word}
          {id === base ? <span className="axis-base"> base</span> : null}
        </Option>
      ))}
    </div>
  );
}

function AxisName({ dragged, label }: { dragged: Dragged | null; label: string }): ReactNode {
  const { ref, listeners, className } = useOrdered(dragged);
  return (
    <span ref={ref} {...listeners} className={`quiet axis-name ${className}`}>
      {label}
    </span>
  );
}

function Option({
  dragged,
  ...button
}: ComponentProps<'button'> & { dragged: Dragged | null }): ReactNode {
  const { ref, listeners, className } = useOrdered(dragged);
  return (
    <button
      {...listeners}
      {...button}
      ref={ref}
      type="button"
      role="radio"
      className={className === '' ? undefined : className}
    />
  );
}

const STEPS: Readonly<Record<string, number>> = {
  ArrowRight: 1,
  ArrowDown: 1,
  ArrowLeft: -1,
  ArrowUp: -1,
};
