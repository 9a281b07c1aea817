import type { ReactNode } from 'react';

/** Why what was typed is not taken, where it was typed; nothing where it is. */
export function Wrong({
  words,
  as: Tag = 'span',
}: {
  words: string;
  /** A line of its own in a dialog, else in the cell. */
  as?: 'span' | 'p';
}): ReactNode {
  return words ? (
    <Tag className="cell-error" role="alert">
      {words}
    </Tag>
  ) : null;
}
