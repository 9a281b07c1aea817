import type { SingleKey } from '../../store/keymap';

/** What an action is about: its part of the menu of the right button and of the list of keys. */
export type Subject = 'what is selected' | 'moving' | 'copying' | 'component' | 'the bench';

/** Something the bench does: as the go line and the menu name it, with its key as it is shown. */
export interface BenchAction {
  readonly label: string;
  readonly about: Subject;
  /** What it stands under in the menu, with others like it: there only the rest of its label is said. */
  readonly under?: string;
  /** As it is shown; empty where there is none. */
  readonly key: string;
  /** The single key that does it, by the name that stays when another key is given to it. */
  readonly does?: SingleKey;
  /** Other keys that do it, as the hotkeys package writes them. */
  readonly keys?: readonly string[];
  /** Whether it can be done to what is selected now: only then it stands in the menu. */
  readonly offered?: boolean;
  readonly run: () => void;
}
