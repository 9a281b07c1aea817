import { own, TEXT, type EntryDoc, type FieldId, type Query } from '../model';
import { conditionsAsked, itemsWanted, readyCondition } from './conditions';
import { convert } from './convert';
import type { Data } from './data';
import type { Known } from './evaluate';
import { isEntry } from './items';
import { sortedItems } from './query';

/** How somebody looks at the entries of a type: what they look for, which of them, in which order. */
export interface EntriesLook {
  /** Words that stand somewhere in an entry, each of them. */
  readonly find: string;
  readonly where: Query['where'];
  readonly any?: true | undefined;
  readonly sort: readonly { readonly path: readonly FieldId[]; readonly descending: boolean }[];
}

/**
 * The entries of a type that somebody looks at, in their order; ties by id.
 * @param data with drafts among it, where these are looked at too
 */
export function entriesLookedAt(type: string, look: EntriesLook, data: Data): readonly EntryDoc[] {
  const all = data.entriesOf(type);
  const found = finding(look.find, all, type, data);
  const asked = conditionsAsked({ where: look.where });
  const ready = asked.map(([id, condition]) => readyCondition(id, condition, found, type, data));
  const wanted = ready.map(({ sources, type: of }) =>
    sources.map((source): Known => (source.is === 'value' ? convert(source, of, data) : null)),
  );
  const wanting: Pick<Query, 'where' | 'any'> = {
    where: look.where,
    ...(look.any ? { any: true } : {}),
  };
  const meeting = itemsWanted(found, wanting, ready, wanted, data);
  const keys = look.sort.map(({ path, descending }) => ({ path: [...path], descending }));
  return sortedItems(meeting, keys, type, data).filter(isEntry);
}

/** Those in whose texts all words of a search stand, whatever the size of their letters. */
function finding(
  words: string,
  items: readonly EntryDoc[],
  type: string,
  data: Data,
): readonly EntryDoc[] {
  const wanted = words.toLowerCase().split(/\s+/).filter(Boolean);
  if (wanted.length === 0) return items;
  return items.filter((entry) => {
    const held = textsOf(entry, type, data);
    return wanted.every((word) => held.includes(word));
  });
}

const kept = new WeakMap<EntryDoc, { data: Data; texts: string }>();

/** Everything that an entry says in words, in small letters; kept for as long as both stay the same. */
function textsOf(entry: EntryDoc, type: string, data: Data): string {
  const known = kept.get(entry);
  if (known?.data === data) return known.texts;
  const fields = data.type(type)?.fields ?? {};
  const parts = [entry.slug];
  for (const id in fields) {
    const value = own(entry.values, id);
    const spec = fields[id]!.type;
    if (!value || value.value === null) continue;
    const shown = spec.kind === 'choice' ? optionWords(value.value, spec) : undefined;
    const text = shown ?? convert(value, TEXT, data)?.value;
    if (typeof text === 'string') parts.push(text);
  }
  const texts = parts.join('\n').toLowerCase();
  kept.set(entry, { data, texts });
  return texts;
}

function optionWords(
  value: unknown,
  { options }: { readonly options: Readonly<Record<string, { readonly label: string }>> },
): string | undefined {
  return typeof value === 'string' ? own(options, value)?.label : undefined;
}
