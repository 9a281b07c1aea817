/**
 * A name as a part of an address: `Larkhollow & sons` gives `larkhollow-sons`.
 * @param otherwise for a name without a letter that an address can hold
 */
export function slugOf(name: string, otherwise: string): string {
  const slug = name
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '')
    .slice(0, 60)
    .replace(/-+$/, '');
  return slug === '' ? otherwise : slug;
}

/** A slug that none of those taken is: with a number behind it where it is taken. */
export function freeSlug(wanted: string, taken: readonly string[]): string {
  const all = new Set(taken);
  let free = wanted;
  for (let n = 2; all.has(free); n += 1) free = `${wanted}-${n}`;
  return free;
}
