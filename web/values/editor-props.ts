import type { Typed, TypeSpec } from '@sormet/core/model';
import type { Marked } from './rich/marking';

/** What every editor of a value is given. */
export interface EditorProps<T extends TypeSpec = TypeSpec> {
  readonly type: T;
  readonly value: Typed | undefined;
  readonly label: string;
  /** Told every change, with a name under which changes that follow each other are one step. */
  readonly onChange: (value: Typed, group: string | null) => void;
  readonly placeholder?: string | undefined;
  /** What somebody begins from where nothing is set yet, of what is edited as a whole: lists and rich text. */
  readonly begin?: Typed | undefined;
  /** Told of a brace that was typed into words, and behind how many characters: a value may stand there. */
  readonly onPlace?: ((at: number) => void) | undefined;
  /** Told of a plain text that somebody gave emphasis, a link or a style by its key: it may become rich then. */
  readonly onMarked?: ((marked: Marked) => void) | undefined;
  /** Of rich text: what was marked while it was plain still, to be given what was asked for as it appears. */
  readonly marked?: Marked | undefined;
  /** Whether its list is open as it appears, because somebody pressed where it stands. */
  readonly open?: boolean;
}
