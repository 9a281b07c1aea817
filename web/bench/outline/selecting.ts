import { createContext } from 'react';
import type { NodeApi } from 'react-arborist';
import type { Row } from './rows';

/** What pressing a row does to the selection, as in every tree (WAI-ARIA Authoring Practices Guide, tree view). */
export interface Selecting {
  /** Selects the row and nothing else; from there on it is extended. */
  readonly select: (row: NodeApi<Row>) => void;
  /** Selects all from where it was begun to the row. */
  readonly extendTo: (row: NodeApi<Row>) => void;
  /** Selects the row besides, or lets it go. */
  readonly toggle: (row: NodeApi<Row>) => void;
}

const NONE: Selecting = {
  select: () => undefined,
  extendTo: () => undefined,
  toggle: () => undefined,
};

/** How the rows of an outline are selected. */
export const SelectingContext = createContext<Selecting>(NONE);
