import { Fragment, isValidElement, type ReactElement, type ReactNode } from 'react';

/** The head of a column: a word, one with more to say of it, or a head of its own. */
export type Head =
  | string
  | ReactElement
  | {
      readonly name?: ReactNode;
      /** A word for readers of the screen alone: whoever sees the column needs none. */
      readonly unseen?: string;
      /** How wide the column is, as the style sheet of tables names it. */
      readonly width?: string | undefined;
      readonly title?: string | undefined;
    };

/** A table with the heads of its columns. */
export function HeadedTable({
  label,
  className = 'ledger-table values',
  heads,
  hidden = false,
  children,
}: {
  label: string;
  className?: string;
  heads: readonly Head[];
  hidden?: boolean;
  children: ReactNode;
}): ReactNode {
  return (
    <table className={className} aria-label={label} hidden={hidden}>
      <thead>
        <tr>
          {heads.map((head, i) => (
            <Fragment key={isValidElement(head) ? (head.key ?? i) : i}>{headOf(head)}</Fragment>
          ))}
        </tr>
      </thead>
      {children}
    </table>
  );
}

function headOf(head: Head): ReactNode {
  if (typeof head === 'string') return <th scope="col">{head}</th>;
  if (isValidElement(head)) return head;
  const { name, unseen, width, title } = head as Exclude<Head, string | ReactElement>;
  return (
    <th scope="col" className={width} title={title}>
      {unseen === undefined ? name : <span className="for-readers">{unseen}</span>}
    </th>
  );
}
