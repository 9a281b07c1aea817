import { FORMAT, type Doc } from './documents';

/** What brings a document of each older format one format further. There is none yet. */
const UPGRADES: Readonly<Record<number, (document: unknown) => unknown>> = {};

/** A stored document in the current format. @throws when it is of a format that this program does not know. */
export function upgrade(stored: unknown): Doc {
  let document = stored as { id?: string; format?: number };
  while (document.format !== FORMAT) {
    const step = UPGRADES[document.format ?? 0];
    if (!step)
      throw new Error(
        `The document ${document.id} is of format ${document.format}, which is not known here.`,
      );
    document = step(document) as typeof document;
  }
  return document as Doc;
}
