import { FORMAT, type Doc } from '../documents';
import { toFormat2 } from './format-2';
import { toFormat3 } from './format-3';
import type { Stored, StoredDoc } from './stored';

/** What brings the documents of a site from each older format to the next. */
const UPGRADES: Readonly<Record<number, (documents: Stored) => Stored>> = {
  1: toFormat2,
  2: toFormat3,
};

/** The format of a site's documents: that of the oldest among them. */
export function formatOf(stored: Stored): number {
  let format: number = FORMAT;
  for (const id in stored) format = Math.min(format, stored[id]!.format);
  return format;
}

/**
 * The documents of a site in the current format; the same object when they are.
 * @throws when they are of a format that this program does not know
 */
export function upgraded(stored: Stored): Readonly<Record<string, Doc>> {
  let documents = stored;
  for (const id in stored)
    if (stored[id]!.format > FORMAT)
      throw new Error(
        `The document ${id} is of format ${stored[id]!.format}, which is not known here.`,
      );
  for (let format = formatOf(documents); format < FORMAT; format = formatOf(documents)) {
    const step = UPGRADES[format];
    if (!step) throw new Error(`Documents of format ${format} are not known here.`);
    documents = step(documents);
  }
  return documents as unknown as Record<string, Doc>;
}

/**
 * A page or a component in the current format, read apart from the rest of its site: what formats have changed about
 * these is said in the document itself. @throws when it is of a format that this program does not know
 */
export function upgradedAlone(stored: StoredDoc): Doc {
  return upgraded({ [stored.id]: stored })[stored.id]!;
}
