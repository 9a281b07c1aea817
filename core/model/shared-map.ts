/** How many changes are kept beside what they change before both are made one: what a change costs stays small. */
const MOST_BESIDE = 128;

/**
 * A map that is never changed: a change makes another that shares what it leaves alone, at a cost that goes by what it
 * touches. Of many states of one map the greatest part is one `Map`.
 */
export class SharedMap<V extends object> {
  private constructor(
    /** Never changed once it is here, so that many states share it. */
    private readonly base: ReadonlyMap<string, V>,
    /** What is otherwise than in `base`; `undefined` for what is gone. */
    private readonly beside: ReadonlyMap<string, V | undefined>,
    readonly size: number,
  ) {}

  /** A map that begins as another. That one must not be changed from then on. */
  static of<V extends object>(values: ReadonlyMap<string, V>): SharedMap<V> {
    return new SharedMap<V>(values, new Map(), values.size);
  }

  /** What stands under a key; nothing where nothing does. */
  get(key: string): V | undefined {
    if (this.beside.size > 0) {
      const value = this.beside.get(key);
      if (value !== undefined || this.beside.has(key)) return value;
    }
    return this.base.get(key);
  }

  /** All that stands in it, in no order that may be relied on. */
  *values(): Iterable<V> {
    for (const [key, value] of this.base) if (!this.beside.has(key)) yield value;
    for (const value of this.beside.values()) if (value) yield value;
  }

  /** This with changes: by key the value there is now, `undefined` where there is none any more. */
  changed(changes: ReadonlyMap<string, V | undefined>): SharedMap<V> {
    let { size } = this;
    for (const [key, value] of changes)
      size += Number(value !== undefined) - Number(this.get(key) !== undefined);
    const beside = new Map([...this.beside, ...changes]);
    if (beside.size <= MOST_BESIDE) return new SharedMap(this.base, beside, size);
    const base = new Map(this.base);
    for (const [key, value] of beside)
      if (value) base.set(key, value);
      else base.delete(key);
    return new SharedMap(base, new Map(), size);
  }

  /** Every key that may stand for something else in two maps: only a few, where one was made from the other. */
  keysThatMayDiffer(other: SharedMap<V>): Iterable<string> {
    const beside = [...this.beside.keys(), ...other.beside.keys()];
    return new Set(
      this.base === other.base ? beside : [...this.base.keys(), ...other.base.keys(), ...beside],
    );
  }
}
