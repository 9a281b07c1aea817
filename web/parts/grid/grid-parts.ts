import type { ReactNode } from 'react';
import type { Leaving } from './GridEditor';

/** A column of a table. */
export interface GridColumn {
  readonly id: string;
  readonly label: string;
  /** What stands behind its name. */
  readonly mark?: ReactNode;
  /** How wide, in CSS px; what is left is shared among those that do not say. */
  readonly width?: number | undefined;
  /** Whether it stays in sight while one goes sideways; only the first ones can. */
  readonly stays?: boolean;
  /** Whether typing begins to write in it. */
  readonly isTyped: boolean;
  /** Whether it is not written here. */
  readonly isLocked?: boolean;
}

/** A column before all others that nobody walks through: what leads on from a row. */
export interface GridLead {
  readonly id: string;
  readonly label: string;
  /** In CSS px. */
  readonly width: number;
  readonly cell: (row: number) => ReactNode;
}

/** What a cell shows, and as which words it is copied. */
export interface GridCell {
  readonly words: string;
  readonly shown?: ReactNode;
  readonly className?: string;
  readonly title?: string;
}

/** What the editor of a cell is given. */
export interface Visit {
  /** What is typed in one visit of a cell is one step, under this name. */
  readonly name: string;
  readonly onEnd: (leaving: Leaving) => void;
}
