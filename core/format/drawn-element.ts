/** An element of a drawing as it was read from SVG: whoever reads the file knows nothing else of it. */
export interface DrawnElement {
  readonly tag: string;
  readonly attributes: Readonly<Record<string, string>>;
  readonly children: readonly DrawnElement[];
  /** The words in it, of a style sheet. */
  readonly text?: string;
}
