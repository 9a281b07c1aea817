import type { Typed, TypeSpec } from '@sormet/core/model';

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
  /** Whether its list is open as it appears, because somebody pressed where it stands. */
  readonly open?: boolean;
}
