/** From where a page is previewed: what the address of the bench said there. */
export interface PreviewedFrom {
  readonly bench: string;
}
