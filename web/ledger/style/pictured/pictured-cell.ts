import type { Ground } from '@sormet/core/edit';

/** What an editor by pictures needs of the cell that it stands in. */
export interface PicturedCell {
  readonly property: string;
  /** What the cell is called. */
  readonly label: string;
  /** Whether the focus is in it: only then the keyboard comes by its button. */
  readonly here: boolean;
  /** What holds there now, as people read it: here, or from another rule. */
  readonly shown: string | undefined;
  /** What this rule declares for a longhand, as people read it. */
  readonly valueOf: (longhand: string) => string | undefined;
  /** Whether what is selected lays out what it holds from top to bottom. */
  readonly downwards: boolean;
  /** Declares a property; edits of one group are one step. @returns why it cannot be, or nothing */
  readonly give: (property: string, typed: string, group?: string) => string;
  /** Declares the whole of the cell. */
  readonly choose: (value: string) => void;
  /** The picture behind, where this rule can have one. */
  readonly ground?: { readonly now: Ground | undefined; give: (ground: Ground | null) => void };
}
