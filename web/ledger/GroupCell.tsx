import type { ReactNode } from 'react';
import type { Typed } from '@sormet/core/model';
import { Scrub, type ScrubProps } from '../parts/Scrub';

/** The name of a group of rows, beside them in the first column. */
export function GroupCell({ label, rows }: { label: string; rows: number }): ReactNode {
  return (
    <th scope="rowgroup" rowSpan={rows} className="ledger-group">
      {label}
    </th>
  );
}

/**
 * What a row is called within its group: the group's own name is not said again where the eye has it already, and is
 * still there for those who hear it.
 */
export function RowName({
  group,
  label,
  title,
  told,
  required = false,
  scrub,
}: {
  group: string;
  label: string;
  title?: string;
  /** What tells it from another of the same name. */
  told?: string | undefined;
  /** Whether it must have a value: marked, and said. */
  required?: boolean;
  /** What dragging it does, of a number. */
  scrub?: Omit<ScrubProps<Typed>, 'children'> | undefined;
}): ReactNode {
  const prefix = group + ' ';
  const short = label.startsWith(prefix) ? label.slice(prefix.length) : undefined;
  const shown = scrub ? <Scrub {...scrub}>{short ?? label}</Scrub> : (short ?? label);
  return (
    <th scope="row" title={title}>
      {short === undefined ? (
        shown
      ) : (
        <>
          <span className="for-readers">{prefix}</span>
          {shown}
        </>
      )}
      {required ? (
        <span className="needed" title="must have a value">
          {' '}
          *
        </span>
      ) : null}
      {told === undefined ? null : <code className="told-apart"> {told}</code>}
    </th>
  );
}
