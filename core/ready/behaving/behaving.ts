import type { ComponentDoc } from '../../model';
import type { ReadyStyles } from '../ready-styles';

/** Something ready that does something: a definition, made for a site. */
export interface Behaving {
  readonly key: string;
  /** What it is called, and the definition after it, in the folder of those. */
  readonly label: string;
  /** @param id the id of the definition, with which those of its nodes begin */
  readonly make: (id: string, styles: ReadyStyles) => ComponentDoc;
}

/** The folder in which the definitions of ready ones stand. */
export const READY_FOLDER = 'Ready';
