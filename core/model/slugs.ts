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

/** Gives slugs that nobody has: with a number behind them where they are taken, each given once. */
export class FreeSlugs {
  /** By slug, the number that was given last: many that are called the same are not counted through again and again. */
  private readonly last = new Map<string, number>();

  constructor(private readonly isTaken: (slug: string) => boolean) {}

  /** The slug, else the first with a number behind it that is free. */
  take(wanted: string): string {
    let n = this.last.get(wanted) ?? 0;
    let free: string;
    do {
      n += 1;
      free = n === 1 ? wanted : `${wanted}-${n}`;
    } while (this.isTaken(free) || (n > 1 && this.last.has(free)));
    this.last.set(wanted, n);
    // It is taken from now on, also for whoever wants it as it is.
    if (n > 1) this.last.set(free, 1);
    return free;
  }
}
