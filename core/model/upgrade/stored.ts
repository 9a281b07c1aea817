/** Stored documents of any format: only what every format has in common is known of them. */
export type Stored = Readonly<Record<string, StoredDoc>>;
/** A document as it was stored, of whichever format. */
export interface StoredDoc {
  readonly id: string;
  readonly kind: string;
  readonly format: number;
}
