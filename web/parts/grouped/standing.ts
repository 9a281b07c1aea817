/** A group as an edit names it: one that is there, or one that comes with the edit. */
export interface NamedGroup {
  readonly id: string;
  readonly label: string;
  readonly order: string;
}

/** Things in groups, as they stand, and how one is put elsewhere: properties of a definition, fields of a content type. */
export interface Standing {
  /** All of them, across groups. */
  readonly order: readonly string[];
  /** The groups, in order. */
  readonly groups: readonly NamedGroup[];
  readonly labelOf: (thing: string) => string;
  /** `null` for none. */
  readonly groupOf: (thing: string) => string | null;
  /** Puts one into a group before another of it, or last. */
  readonly put: (thing: string, group: NamedGroup | null, before: string | null) => void;
  /** Puts a group before another, or last. */
  readonly putGroup: (group: string, before: string | null) => void;
}
