import { furtherName } from '@sormet/core/edit';
import { shownWith, typedWith, type ExpressionName } from '@sormet/core/expression';
import {
  sameJson,
  type Format,
  type Source,
  type ValueKind,
  type WhenEmpty,
  type Words,
} from '@sormet/core/model';

/** What stands in the place of something that is gone. */
const GONE: Source = Object.freeze({ is: 'value', type: 'text', value: null });

/** What a value among words is called, and of which kind it is. */
export interface Called {
  readonly label: string;
  readonly kind: ValueKind | 'nothing';
}

/**
 * What stands behind the names of values while words around them are edited: what is stored, and what was chosen and is not
 * among the words yet. The editor asks it outside of any drawing.
 */
export class HeldSources {
  private names: readonly ExpressionName[] = [];
  private gives: ((source: Source) => string) | undefined;

  constructor(private sources: Readonly<Record<string, Source>>) {}

  /** What can be named here now, and what a source gives where one is looking. */
  look(names: readonly ExpressionName[], gives: ((source: Source) => string) | undefined): void {
    this.names = names;
    this.gives = gives;
  }

  of(name: string): Source {
    return this.sources[name] ?? GONE;
  }

  /** The name of a source: one that stands for it already, else a new one. */
  nameFor(source: Source): string {
    const same = Object.keys(this.sources).find((name) => sameJson(this.sources[name], source));
    if (same !== undefined) return same;
    let i = 0;
    while (`n${i}` in this.sources) i += 1;
    this.take({ [`n${i}`]: source });
    return `n${i}`;
  }

  /** Takes in what is stored, or another source for a name. */
  take(sources: Readonly<Record<string, Source>>): void {
    this.sources = { ...this.sources, ...sources };
  }

  /** Decides what stands there where a value is empty. */
  decide(name: string, whenEmpty: WhenEmpty | undefined): void {
    const { whenEmpty: _, ...alone } = this.of(name);
    const source = whenEmpty === undefined ? alone : { ...alone, whenEmpty };
    this.take({ [name]: source as Source });
  }

  /** Those that are among the words. */
  among(used: ReadonlySet<string>): Record<string, Source> {
    return Object.fromEntries(Object.entries(this.sources).filter(([name]) => used.has(name)));
  }

  called(name: string): Called {
    const held = this.of(name);
    const { whenEmpty: _, ...alone } = held;
    const found = this.names.find((each) => sameJson(each.source, alone));
    if (found) return { label: found.label, kind: found.gives.of };
    if (held.is === 'expression') {
      const { typed, names } = shownWith(held, this.names, furtherName);
      const typing = typedWith(typed, names);
      return { label: `= ${typed}`, kind: typing.ok ? typing.gives.of : 'nothing' };
    }
    const further = furtherName(held);
    return further
      ? { label: further.label, kind: further.gives.of }
      : { label: 'something that is gone', kind: 'nothing' };
  }

  /** What a value comes to in its format, where one is looking. */
  written(name: string, format: Format | null): string {
    const words: Words = {
      is: 'words',
      of: 'text',
      pieces: [{ place: name, ...(format ? { format } : {}) }],
      names: { [name]: this.of(name) },
    };
    return this.gives?.(words) ?? '';
  }
}
