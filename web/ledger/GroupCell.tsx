import type { ReactNode } from 'react';

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
}: {
  group: string;
  label: string;
  title?: string;
  /** What tells it from another of the same name. */
  told?: string | undefined;
  /** Whether it must have a value: marked, and said. */
  required?: boolean;
}): ReactNode {
  const prefix = group + ' ';
  const short = label.startsWith(prefix) ? label.slice(prefix.length) : undefined;
  return (
    <th scope="row" title={title}>
      {short === undefined ? (
        label
      ) : (
        <>
          <span className="for-readers">{prefix}</span>
          {short}
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
