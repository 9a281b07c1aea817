import type { Stored, StoredDoc } from './stored';

type Doc2 = StoredDoc & { slots?: Record<string, Readonly<Record<string, unknown>>> };

/**
 * From format 2 to 3: how what comes into a slot lies is the style of what is around it, and nothing that the slot says.
 */
export function toFormat3(documents: Stored): Stored {
  return Object.fromEntries(
    Object.entries(documents).map(([id, doc]) => [id, doc.format === 2 ? docOf(doc) : doc]),
  );
}

function docOf(doc: Doc2): StoredDoc {
  const made = { ...doc, format: 3 };
  if (doc.kind !== 'component' || !doc.slots) return made;
  const slots = Object.entries(doc.slots).map(([id, { layout: _, ...rest }]) => [id, rest]);
  return { ...made, slots: Object.fromEntries(slots) } as StoredDoc;
}
