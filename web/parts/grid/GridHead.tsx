import type { CSSProperties, PointerEvent, ReactNode } from 'react';

/** A column by which rows are in order, and which way. */
export interface Sorted {
  readonly by: string;
  readonly down: boolean;
}

/** The head of a column. */
export interface GridHeading {
  readonly id: string;
  readonly label: string;
  /** What stands behind its name. */
  readonly mark?: ReactNode;
  /** In CSS px. */
  readonly width?: number | undefined;
  readonly style?: CSSProperties | undefined;
  readonly className?: string | undefined;
}

/** How far an edge of a column goes by one key, in CSS px. */
const STEP = 10;

/** The heads of the columns: pressed, the rows are in the order of that column, then the other way round, then as they came. */
export function GridHead({
  headings,
  sort,
  style,
  onSort,
  onResize,
}: {
  headings: readonly GridHeading[];
  sort: Sorted | null;
  style: CSSProperties;
  onSort: (sort: Sorted | null) => void;
  /** Told how wide a column should be, in CSS px; left out where columns are as wide as they are. */
  onResize?: ((id: string, width: number) => void) | undefined;
}): ReactNode {
  const drag = (event: PointerEvent<HTMLElement>, id: string) => {
    const head = event.currentTarget.parentElement!;
    const { left } = head.getBoundingClientRect();
    event.preventDefault();
    event.currentTarget.setPointerCapture(event.pointerId);
    const edge = event.currentTarget;
    const moved = ({ clientX }: globalThis.PointerEvent) => onResize?.(id, clientX - left);
    edge.addEventListener('pointermove', moved);
    edge.addEventListener(
      'lostpointercapture',
      () => edge.removeEventListener('pointermove', moved),
      { once: true },
    );
  };
  return (
    <div className="grid-head" role="row" style={style}>
      {headings.map(({ id, label, mark, width, style: own, className }) => {
        const mine = sort?.by === id ? sort : null;
        const next = !mine ? { by: id, down: false } : mine.down ? null : { by: id, down: true };
        return (
          <div
            key={id}
            role="columnheader"
            aria-sort={mine ? (mine.down ? 'descending' : 'ascending') : 'none'}
            style={own}
            className={className}
          >
            {label === '' ? null : (
              <button type="button" title={label} onClick={() => onSort(next)}>
                {label}
                {mark} {mine ? (mine.down ? '↓' : '↑') : ''}
              </button>
            )}
            {onResize && label !== '' ? (
              <span
                role="separator"
                aria-orientation="vertical"
                aria-label={`Width of ${label}`}
                aria-valuenow={Math.round(width ?? 0)}
                aria-valuemin={0}
                aria-valuemax={2000}
                tabIndex={0}
                className="grid-edge"
                onPointerDown={(event) => drag(event, id)}
                onKeyDown={(event) => {
                  const by = { ArrowRight: STEP, ArrowLeft: -STEP }[event.key];
                  if (by === undefined) return;
                  event.preventDefault();
                  event.stopPropagation();
                  onResize(id, event.currentTarget.parentElement!.offsetWidth + by);
                }}
              />
            ) : null}
          </div>
        );
      })}
    </div>
  );
}
